/** Places of the application that can be empty. */
export type EmptyPicture = 'shelf' | 'order' | 'stash' | 'shopping' | 'log' | 'week' | 'practice' | 'machine';

/** What each will hold, as path data in a field of 120 x 90: cloth, what hands do, what the needle does, the rest. */
export const EMPTY_PICTURES: Readonly<
  Record<EmptyPicture, { cloth: string; hands: string; needle: string; ink: string }>
> = {
  shelf: {
    cloth: 'M14 16h26v46H14z M60 20a20 20 0 1 0 .1 0z M82 22h26v40H82z',
    hands: 'M95 30v8',
    needle: 'M19 21h16v36H19z M87 27h16v30H87z',
    ink: 'M6 70h108 M10 70v8 M110 70v8'
  },
  order: {
    cloth: 'M20 10h60l14 14v56H20z',
    hands: 'M30 30l4 4 7-9 M30 48l4 4 7-9',
    needle: 'M50 32h30 M50 50h30 M50 66h18',
    ink: 'M80 10v14h14'
  },
  stash: {
    cloth: 'M12 54h96v14H12z M18 36h84v14H18z M26 18h68v14H26z',
    hands: 'M20 61h8 M26 43h8 M34 25h8',
    needle: 'M36 61h64 M42 43h52 M50 25h36',
    ink: 'M6 74h108'
  },
  shopping: {
    cloth: 'M28 34h64l-6 44H34z',
    hands: 'M44 46v20 M60 46v20 M76 46v20',
    needle: 'M34 40h52',
    ink: 'M42 34c0-26 36-26 36 0'
  },
  log: {
    cloth: 'M18 12h84v66H18z',
    hands: 'M28 26h22 M28 50h14',
    needle: 'M50 26h40 M28 38h50 M42 50h44 M28 62h30',
    ink: 'M18 12v66'
  },
  week: {
    cloth: 'M12 16h96v62H12z',
    hands: 'M18 40h18 M56 40h10 M40 54h14 M76 68h12',
    needle: 'M36 40h20 M66 40h34 M54 54h34 M18 68h58',
    ink: 'M12 28h96 M32 10v12 M60 10v12 M88 10v12'
  },
  practice: {
    cloth: 'M20 56h80v10H20z M26 40h68v10H26z M34 24h52v10H34z',
    hands: 'M98 14c8 0 8 12 0 13v5 M98 38v.2',
    needle: 'M60 16v58',
    ink: 'M12 74h96'
  },
  machine: {
    cloth: 'M14 62h92v14H14z M20 20h72v16H34v26H20z',
    hands: 'M98 24a8 8 0 1 1-.1 0',
    needle: 'M82 36v24',
    ink: 'M76 62v-6h12v6 M42 26h24'
  }
};
