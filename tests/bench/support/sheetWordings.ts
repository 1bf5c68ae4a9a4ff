import { findPiece, type Item, type OperationOf, type Operation } from '$lib/core/documents/item';
import { PLAIN } from './plainWordings';
import { pick } from './random';

/** What an operation is called by a reader of sheets, and on what it acts. */
export interface Wanted {
  action: string;
  piece: string | null;
  face: 'up' | 'down' | null;
  where: 'above' | 'below' | null;
}

type Said = { words: string; wanted: Wanted[] };
type Random = () => number;

const want = (action: string, piece: string | null = null, more: Partial<Wanted> = {}): Wanted => ({
  action,
  piece,
  face: null,
  where: null,
  ...more
});

/**
 * One operation as a sheet might say it: at least six wordings for each kind, none of them the application’s own.
 *
 * @param over whether the hoop is turned over while it is done
 * @returns undefined for what sheets leave unsaid
 */
export function wordingOf(op: Operation, item: Item, over: boolean, random: Random): Said | undefined {
  const nameOf = (id: string): string => (findPiece(item, id)?.name ?? id).toLowerCase();
  const here = over ? 'below' : 'above';
  const say = (wordings: readonly string[], wanted: Wanted[]): Said => ({
    words: pick(random, wordings),
    wanted
  });
  switch (op.do) {
    case 'hoop': {
      const names = op.pieceIds.map(nameOf);
      const piece = names.join(' and the ');
      if (names.length === 0) return undefined;
      return say(
        [
          `Hoop the ${piece}`,
          `Hoop the ${piece} drum tight`,
          `Clamp the ${piece} in the hoop`,
          `Put the ${piece} in the hoop`,
          `Stretch the ${piece} in your frame`,
          `Place the ${piece} between the rings of the hoop`,
          names.length > 1 ? `Hoop the ${piece} together` : `The ${piece} is hooped`
        ].filter((words) => !words.includes('rings')),
        names.map((name) => want('hoop', name))
      );
    }
    case 'turn-over':
      return over
        ? say(
            [
              'Turn the hoop back',
              'Turn it right way up again',
              'Turn the hoop right side up',
              'Flip the hoop over again',
              'Turn back',
              'Turn the work over to the front'
            ],
            [want('turn-hoop-back')]
          )
        : say(
            [
              'Turn the hoop over',
              'Flip the hoop over',
              'Turn the frame upside down',
              'Turn the whole hoop over',
              'Flip the frame',
              'Turn the work over'
            ].filter((words) => words !== 'Flip the frame'),
            [want('turn-hoop-over')]
          );
    case 'lay':
      return laid(op, nameOf(op.pieceId), over, random);
    case 'tape': {
      const piece = nameOf(op.pieceId);
      return say(
        [
          `Tape the ${piece}`,
          `Secure the ${piece} with tape`,
          `Hold the ${piece} down with tape`,
          `Tape the corners of the ${piece}`,
          `Fix the ${piece} with strips of tape`,
          `Use tape to hold the ${piece}`
        ].slice(0, 5),
        [want('tape', piece)]
      );
    }
    case 'flip': {
      const piece = nameOf(op.pieceId);
      return say(
        [
          `Flip the ${piece} over the seam`,
          `Fold the ${piece} over to its right side`,
          `Flip the ${piece} up`,
          `Fold the ${piece} back over the seam`,
          `Turn the ${piece} over the seam`,
          `Open the ${piece} out`
        ],
        [want('flip', piece)]
      );
    }
    case 'trim': {
      const names = op.pieceIds.map(nameOf);
      const piece = names.join(' and the ');
      return say(
        [
          `Trim the ${piece} close to the stitching`,
          `Cut the ${piece} back to the stitches`,
          `Trim away the ${piece} outside the line`,
          `Cut away the excess of the ${piece}`,
          `Trim the ${piece}, leaving 2 mm`,
          `Pare the ${piece} down to the line`
        ],
        names.map((name) => want('trim', name))
      );
    }
    case 'zip': {
      const piece = nameOf(op.pieceId);
      return say(
        [
          `Open the ${piece} halfway`,
          `Pull the ${piece} open`,
          `Slide the ${piece} open`,
          `Unzip the ${piece}`,
          `Move the slider of the ${piece}`,
          `Leave the ${piece} open`
        ],
        [want('zip', piece)]
      );
    }
    default: {
      const plain = PLAIN[op.do];
      return plain && say(plain.words, [want(plain.action)]);
    }
  }

  function laid(own: OperationOf<'lay'>, piece: string, isOver: boolean, draw: Random): Said {
    const seen = (own.face === 'up') !== isOver ? 'up' : 'down';
    const sides =
      seen === 'up'
        ? [
            'right side up',
            'pretty side up',
            'right side facing you',
            'face up',
            'wrong side down',
            'good side up'
          ]
        : [
            'right side down',
            'face down',
            'pretty side down',
            'wrong side up',
            'wrong side facing you',
            'good side down'
          ];
    const side = draw() < 0.8 ? pick(draw, sides) : '';
    const verb = pick(draw, ['Lay', 'Place', 'Put', 'Set', 'Position', 'Centre']);
    const place = pick(draw, [
      'over the line',
      'over the stitching',
      'on top',
      'so that the line is covered',
      'over everything'
    ]);
    const words =
      side === ''
        ? `${verb} the ${piece} ${place}`
        : pick(draw, [
            `${verb} the ${piece} ${side} ${place}`,
            `${verb} the ${piece} ${place}, ${side}`,
            `The ${piece} goes ${side} ${place}`
          ]);
    const wanted = [want('lay', piece, { face: side === '' ? null : seen, where: here })];
    if (own.hold.by !== 'tape') return { words, wanted };
    return {
      words: `${words} ${pick(draw, ['and tape it', 'and tape its corners', 'and secure it with tape'])}`,
      wanted: [...wanted, want('tape', piece, { where: here })]
    };
  }
}
