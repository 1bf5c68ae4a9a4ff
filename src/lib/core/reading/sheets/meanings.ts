import type { ActionKind } from './actionKinds';

/** One wording and what it means. */
export interface Meaning {
  action: ActionKind;
  says: RegExp;
  /** What it acts on: pieces it names, the hoop, or nothing. */
  on: 'piece' | 'hoop' | 'none';
  /** A fixed object, where the words are about one: the corners, the threads. */
  thing?: string;
  /** What an `other` is. */
  is?: string;
  /** Whether it counts only with the hoop turned over, or only as it was. */
  over?: boolean;
  sure?: number;
}

const HOOP = String.raw`(?:hoop|frame|ring)`;
const WORK = String.raw`(?:work|project|item|piece|everything|all of it|embroidery|fabrics?|sandwich|it|them|all|lace|patch(?:es)?|design|felt|stabili[sz]er|whole)`;
const TAPES = String.raw`(?:tapes?|strips?)`;
const STABILISER = String.raw`(?:stabili[sz]ers?|tear-?away|backing paper|sheet|rest of the (?:sheet|paper)|paper|cut-?away|spare sheet)`;
const HARDWARE = String.raw`(?:snaps?|press[\s-]studs?|poppers?|eyelets?|grommets?|(?:split|key|jump|d|o)-?\s?rings?|clasps?|hooks?|hook(?:-and-loop)? (?:tape|fastener)|loop tape|velcro|magnets?|buttons?|buckles?|swivels?|carabiners?|rivets?|key chains?|chains?|brooch(?:es)?|pin backs?|hardware|toggles?|lobster|(?:ear(?:ring)?\s)?wires?)`;

/** Hardware as sheets name it. */
export const HARDWARE_WORDS = new RegExp(`\\b${HARDWARE}\\b`, 'i');

const means = (
  action: ActionKind,
  on: Meaning['on'],
  words: string,
  more: Partial<Meaning> = {}
): Meaning => ({
  action,
  on,
  says: new RegExp(words, 'i'),
  ...more
});

/**
 * How sheets say what hands do: the first wording that a part of a sentence fits is meant. A new wording is a line here and a
 * line in the tests.
 */
export const MEANINGS: readonly Meaning[] = [
  // The hoop as a whole.
  means('unhoop', 'none', `^(?:unhoop|un-hoop)\\b`),
  means(
    'unhoop',
    'none',
    `^(?:take|release|remove|lift|free|get|pop|pull|slip|loosen)\\b(?!.*\\btapes?\\b)(?=.*\\b(?:out of|from|out|off)\\b.*\\b${HOOP}\\b)(?!.*\\b${HOOP}\\b.*\\b(?:from|off)\\b).*\\b(?:${WORK}|stabili)`
  ),
  means(
    'unhoop',
    'none',
    `^(?:remove|take|release|lift)\\s+(?:it\\s+|out\\s+)?(?:from|of|out of)\\s+(?:the\\s+|your\\s+)?${HOOP}\\b`
  ),
  means('unhoop', 'none', `^out\\s+of\\s+(?:the\\s+)?${HOOP}\\s*$`),
  means('unhoop', 'none', `^free\\s+(?:the\\s+)?${WORK}\\b`),
  means('unhoop', 'none', `^take\\s+(?:it|them|the\\s+[a-z]+|everything)\\s+out$`),
  means(
    'unhoop',
    'none',
    `^(?:take|remove|lift|slip|get)\\s+(?:the|your|each)\\s+(?!.*\\b(?:tapes?|pins?|clips?|topping|film|excess|hoop from)\\b)(?:[a-z’'-]+\\s+){1,2}(?:out of|from)\\s+(?:the\\s+|your\\s+)?${HOOP}\\b`
  ),
  means('unhoop', 'none', `^(?:open|undo|loosen|unscrew)\\b.*\\b${HOOP}\\b`),
  means(
    'turn-hoop-back',
    'none',
    `^(?:turn|flip|roll|rotate)\\s+(?:the\\s+)?(?:${HOOP}|work|it|everything|whole thing)?\\s*(?:over|round|around)?\\s*(?:back|right way up|face up(?: again)?|right side up|again|to the (?:front|right side)|the right way)\\b(?!.*\\bthrough\\b)`,
    { over: true }
  ),
  means(
    'turn-hoop-back',
    'none',
    `^(?:turn|flip)\\s+(?:the\\s+)?(?:${HOOP}|it|work|everything)\\s+(?:over|up|round|around)\\b`,
    { over: true }
  ),
  means('turn-hoop-back', 'none', `^(?:turn|flip)\\s+(?:back|up)\\b(?!.*\\bpiece\\b)`, { over: true }),
  means('turn-hoop-back', 'none', `^(?:back|over|up)\\s*(?:again)?$`, { over: true }),
  means(
    'turn-hoop-over',
    'none',
    `^(?:turn|flip|roll|rotate)\\s+(?:the\\s+|your\\s+)?(?:whole\\s+)?(?:${HOOP}|work|it|everything|whole thing)\\s*(?:over|upside down|face down|round|around|so that the (?:back|underside|wrong side)|to the (?:back|underside|wrong side)|wrong side up|back side up|bottom up)\\b(?!.*\\bthrough\\b)`,
    { over: false }
  ),
  means('turn-hoop-over', 'none', `^(?:turn|flip)\\s+over\\b`, { over: false }),
  means('turn-hoop-over', 'none', `^(?:flip|turn)(?:\\s+it)?\\s*$`, { over: false }),
  means('turn-hoop-over', 'none', `^over\\b\\s*(?:again|with it|it goes)?\\s*$`, { over: false }),
  means('turn-hoop-over', 'none', `^work\\s+(?:from|on)\\s+the\\s+(?:back|underside|wrong side)\\b`, {
    over: false
  }),
  means('hoop-on', 'hoop', `^(?:the\\s+)?${HOOP}\\s+(?:goes\\s+|comes\\s+|is\\s+)?(?:back\\s+)?(?:on|in)\\b`),
  means(
    'hoop-on',
    'hoop',
    `^(?:put|return|slide|slip|set|attach|reattach|click|clip|bring|mount|take|load|hang|place|lock|fit|hook|replace|push|snap)\\s+(?:back\\s+)?(?:the\\s+|your\\s+)?(?:${HOOP}|it)\\b\\s*(?:back\\b)?\\s*(?:$|on\\b|onto\\b|in\\b|home\\b|into\\b|to\\b(?!\\s+the\\s+(?:back|side))|again\\b)(?!.*\\bline\\b)`
  ),
  means('hoop-on', 'hoop', `^(?:put|slide|clip|click)\\s+(?:back\\s+)?on\\s+(?:the\\s+)?${HOOP}\\b`),
  means(
    'hoop-on',
    'hoop',
    `^(?:return|go back|back)\\s+(?:to|on|onto)\\s+the\\s+(?:machine|arm)\\b|^back on\\b`
  ),
  means('hoop-off', 'hoop', `^(?:${HOOP}|off)\\s+(?:is\\s+|comes\\s+)?(?:off|again)\\b|^off$`),
  means(
    'hoop-off',
    'hoop',
    `^(?:take|lift|slide|slip|pull|get|bring|unclip|detach|remove|release|free|unhook|unlock)\\s+(?:off\\s+|out\\s+)?(?:the\\s+|your\\s+|whole\\s+)*${HOOP}\\b`
  ),
  means(
    'hoop-off',
    'hoop',
    `^(?:take|lift|slide|slip)\\s+it\\s+(?:off|out of|from)\\b.*\\b(?:machine|arm)\\b`
  ),
  means('hoop', 'piece', `^(?:hoop|rehoop|re-hoop)\\s+(?!off|on\\b|back|goes|comes)`),
  means('hoop', 'piece', `^(?:begin|start)\\s+with\\b.*\\b(?:hooped|in\\s+(?:the\\s+|your\\s+)?${HOOP})\\b`),
  means(
    'hoop',
    'piece',
    `^(?:put|clamp|place|stretch|load|fix|mount|lay|set|pull|fit|frame|clip|secure|tighten|float)\\b.*\\b(?:in|into|between)\\s+(?:the\\s+|your\\s+|a\\s+)?(?:\\p{L}+\\s+)?${HOOP}s?\\b(?!.*\\bmachine\\b)`.replace(
      '\\p{L}',
      '[a-z-]'
    )
  ),
  // Thread, bobbin, needle.
  means(
    'change-bobbin',
    'none',
    `^(?:put|change|load|insert|fit|swap|use|set|exchange|replace|fill|switch|drop|take|wind|thread|start|match)\\b.*\\bbobbins?\\b(?!.*\\bthread\\s+(?:the|to)\\b)`
  ),
  means(
    'change-thread',
    'none',
    `^(?:change|switch|swap|go|return|move)\\s+(?:back\\s+)?(?:the\\s+)?(?:top\\s+|upper\\s+|needle\\s+)?(?:thread|colou?rs?)?\\s*(?:back\\s+)?(?:to|for|over to)\\b(?!.*\\bneedle \\d)`
  ),
  means(
    'change-thread',
    'none',
    `^(?:change|swap|exchange|switch)\\s+(?:the\\s+)?(?:top\\s+|upper\\s+)?(?:threads?|colou?rs?)\\b`
  ),
  means('other', 'piece', `^thread\\b.*\\b(?:through|onto)\\b(?!.*\\bneedle)`, { is: 'tie' }),
  means('change-thread', 'none', `^(?:rethread|re-thread|thread)\\b`),
  means('change-thread', 'none', `^(?:put|load|use|take|set|pick)\\b.*\\bthreads?\\b`),
  // Tape and pins.
  means('untape', 'piece', `^untape\\b`),
  means(
    'untape',
    'piece',
    `^(?:remove|peel|pull|take|lift|strip|rip|get|release|undo|loosen|discard)\\b.*\\b${TAPES}\\b`
  ),
  means('unpin', 'piece', `^(?:unpin\\b|(?:remove|take|pull|draw|get|slide)\\b.*\\bpins?\\b)`),
  means(
    'pin',
    'piece',
    `^(?:pin\\b|(?:secure|hold|fix|fasten|keep|use)\\b.*\\bpins?\\b(?!.*\\bnot pins\\b))`
  ),
  // At the end.
  means(
    'close-opening',
    'none',
    `^(?:sew|stitch|topstitch|edgestitch|slip[\\s-]?stitch|close)\\b.*\\b(?:closed|shut|by hand)\\b(?!.*\\bzip)`,
    {
      thing: 'opening'
    }
  ),
  means(
    'close-opening',
    'none',
    `^(?:sew|stitch|close|slip[\\s-]?stitch|ladder[\\s-]?stitch|whip[\\s-]?stitch|hand[\\s-]?sew|hand[\\s-]?stitch|glue|shut|topstitch)\\b(?!.*\\bthrough the\\b).*\\b(?:opening|gap|hole|turning)\\b`,
    { thing: 'opening' }
  ),
  means(
    'turn-through',
    'none',
    `^(?:turn|pull|bring)\\b.*\\b(?:right side(?:s)? out|right way out|right side outwards?|inside out|right side to the outside)\\b`
  ),
  means('turn-through', 'none', `^(?:turn|pull)\\b.*\\bthrough\\b|^turn(?:\\s+it)?$`),
  means(
    'other',
    'none',
    `^(?:push|poke|ease|roll|work|shape|point|smooth)\\b.*\\b(?:corners?|curves?|points?|edges?|seams?)\\b.*`,
    { thing: 'corners', is: 'push out' }
  ),
  means(
    'attach-hardware',
    'piece',
    `^(?:sew|stitch|attach|add|set|fix|fit|press|put|clip|hammer|insert|screw|thread|slip|slide|close|push|fasten|hang|mount|place|apply|glue)\\b(?!.*\\b(?:through the opening)\\b).*\\b${HARDWARE}\\b`
  ),
  means('other', 'none', `^(?:sew|stitch)\\s+(?:on|by hand)\\b|^(?:topstitch|top-stitch)\\b`, {
    is: 'topstitch',
    sure: 0.6
  }),
  means(
    'trim',
    'none',
    `^(?:snip|trim|cut|clip|bury|tie|pull)\\b(?:\\s+(?:off|away|back))?\\s+(?:all\\s+|any\\s+|the\\s+|loose\\s+|long\\s+|hanging\\s+|remaining\\s+)*(?:jump\\s+)?(?:threads?|jumps?|thread (?:ends|tails))\\b`,
    { thing: 'threads' }
  ),
  means(
    'clip',
    'none',
    `^(?:clip|notch|snip|nick|cut|trim)\\b.*\\b(?:curves?|corners?|inward|notch(?:es)?|into the)\\b`,
    { thing: 'curves' }
  ),
  means(
    'cut-out',
    'piece',
    `^cut\\s+(?:\\S+\\s*){1,3}?(?:away\\s+)?(?:from|outside)\\s+the\\s+(?:(?:final|outer|last|outside)\\s+)?(?:stitch|seam|line|edge|outline)|^cut\\s+(?:along|around|outside)\\s+the\\s+(?:outer|final|last|outside)\\b`
  ),
  means('cut-out', 'piece', `^cut\\b.*\\bout\\b(?!.*\\bof\\s+the\\s+way\\b)`),
  means('cut-out', 'piece', `^(?:cut|trim)\\s+(?:all\\s+)?(?:a?round)\\b`),
  means('tear-away', 'piece', `^(?:tear|rip)\\b`),
  means(
    'tear-away',
    'piece',
    `^(?:remove|pull|take|peel|pick|lift)\\b(?!.*\\btapes?\\b).*\\b${STABILISER}\\b`
  ),
  means(
    'tear-away',
    'piece',
    `^(?:remove|pull|take|peel|pick|lift)\\b(?!.*\\btapes?\\b).*\\b(?:topping|film)\\b`
  ),
  means(
    'rinse',
    'none',
    `^(?:rinse|soak|wash|dissolve)\\b|^(?:dip|hold|run|swish|put)\\b.*\\b(?:in|into|under)\\s+(?:\\w+\\s+)?water\\b`
  ),
  means('dry', 'piece', `^(?:dry|air-dry)\\b|^(?:let|leave|lay|hang|put)\\b.*\\b(?:dry|drying)\\b`),
  means(
    'other',
    'piece',
    `^(?:seal|dab|coat|treat|brush)\\b.*\\b(?:fray|seal(?:ant|er)|fluid)\\b|^(?:use|apply|put)\\b.*\\bfray\\b`,
    { is: 'fray fluid' }
  ),
  // What is done to a piece.
  means(
    'lay',
    'piece',
    `^(?:stick|fix|attach|press|lay|place|put)\\b.*\\b(?:to|on|onto|over|under)\\b.*\\b(?:with|using)\\b.*\\b(?:adhesive|spray)\\b`
  ),
  means(
    'spray',
    'piece',
    `^(?:spray|mist)\\b|\\b(?:spray|temporary) (?:adhesive|glue)\\b|^(?:apply|give|use)\\b.*\\b(?:spray|mist)\\b`
  ),
  means(
    'fuse',
    'piece',
    `^(?:fuse|bond)\\b|^iron\\b.*\\b(?:interfacing|web|onto|on to|on the wrong side)\\b|^apply\\b.*\\binterfacing\\b`
  ),
  means(
    'zip',
    'piece',
    `^(?:open|close|unzip|zip|pull|move|slide|leave|run)\\b.*\\b(?:zips?|zippers?|sliders?|pulls?)\\b(?!.*\\btape\\b)|^(?:unzip|zip)\\b`
  ),
  means('fold', 'piece', `^(?:press|iron)\\b.*\\bin half\\b`),
  means('lay', 'piece', `^press\\b.*\\b(?:onto|on to|over the|in place)\\b(?!.*\\bseam\\b)`),
  means('press', 'piece', `^(?:press|iron|finger-press|steam)\\b|^give\\b.*\\bpress\\b`),
  means('tape', 'piece', `^tape\\b`),
  means(
    'tape',
    'piece',
    `^(?:secure|hold|fix|fasten|stick|anchor|keep|attach|add|put|use|apply)\\b.*\\b${TAPES}\\b`
  ),
  means('glue', 'piece', `^(?:glue|dab|adhere)\\b|^(?:use|apply|put)\\b.*\\bglue\\b`),
  means('cut-away', 'piece', `^cut\\s+(?:away\\s+)?(?:.*\\b)?(?:from behind|behind the|from the back)\\b`),
  means(
    'trim',
    'piece',
    `^(?:trim|pare|grade)\\b|^cut\\s+(?:away|back|off|down|close|the\\s+excess)\\b|^cut\\b.*\\b(?:away|close to|back to|down to|level|at a slant|along the|to\\s+\\d|off)\\b|^snip\\b`
  ),
  means('flip', 'piece', `^(?:open|unfold)\\b(?!.*\\b(?:zip|${HOOP}|opening)\\b).*\\bout\\b`),
  means(
    'flip',
    'piece',
    `^flip\\b|^(?:fold|bring|turn|swing|lift|open|unfold|smooth)\\b(?!.*\\bin half\\b)(?!.*\\bhoop\\b).*\\b(?:over the seam|over the stitch\\w*|over the line|up over|over (?:itself|to)|to its right side|right side (?:up|out|showing)|so that (?:its|the) right side|away from the seam|back over|open(?:\\s+out)?|upwards?|up|down|downwards?)\\b(?!.*\\btails?\\b)`
  ),
  means('fold', 'piece', `^(?:fold|crease|tuck|refold|double)\\b`),
  means('other', 'piece', `^(?:hold|secure|clip)\\b.*\\bclips?\\b`, { is: 'hold with clips' }),
  means('other', 'none', `^(?:make sure|check|feel|see that|ensure|look|mind that|watch)\\b`, {
    is: 'check'
  }),
  means('other', 'piece', `^(?:shake|brush)\\b`, { is: 'shake' }),
  means('other', 'piece', `^(?:knot|tie|loop)\\b`, { is: 'tie' }),
  means('other', 'piece', `^(?:punch|poke|pierce|make)\\b.*\\bholes?\\b`, { is: 'punch' }),
  means(
    'lay',
    'piece',
    `^(?:lay|place|put|set|position|float|cover|slide|slip|centre|center|drop|add|arrange|spread|align|match|line up|butt|rest|bring|insert|push|tuck|overlap|stretch|stack|smooth|wrap|hang|support|stick|mount|pop|replace|attach|baste|fit|return)\\b`
  )
];
