/** The bobbin plan against every plan there is, on the whole objective, and its promise on longer items. */
import { type BobbinChange, type BobbinStop, planBobbins } from '$lib/core/solvers/bobbins';
import { bruteBobbins, randomBobbinStops } from '../unit/support/bruteForce';

const SMALL = 400;
const LARGE = 60;

/** Stops that must not see a bobbin run out, and do; those longer than a bobbin apart. */
function runOuts(stops: readonly BobbinStop[], changes: readonly BobbinChange[], capacity: number): number {
  return changes.filter(({ at, into }) => {
    const stop = stops[at];
    return into > 0 && stop?.protected === true && stop.metres <= capacity;
  }).length;
}

let optimal = 0;
let inProtected = 0;
for (let seed = 0; seed < SMALL; seed++) {
  const { stops, options } = randomBobbinStops(2 + (seed % 6), seed);
  const plan = planBobbins(stops, options);
  const best = bruteBobbins(stops, options);
  inProtected += runOuts(stops, plan.changes, options.capacity);
  if (plan.changes.length === best.puts && Math.abs(plan.leftBehind - best.leftBehind) < 1e-6) optimal += 1;
}
console.log(`${SMALL} items of 2 to 7 stops: the best bobbin plan of all on ${optimal}`);

let proven = 0;
let slowest = 0;
for (let seed = 0; seed < LARGE; seed++) {
  const { stops, options } = randomBobbinStops(10 + Math.round((seed * 20) / LARGE), 5000 + seed);
  const start = performance.now();
  const plan = planBobbins(stops, options);
  slowest = Math.max(slowest, performance.now() - start);
  inProtected += runOuts(stops, plan.changes, options.capacity);
  if (plan.proven) proven += 1;
}
console.log(
  `${LARGE} items of 10 to 30 stops in up to three bobbin colours: proven best on ${proven}, slowest ${Math.round(slowest)} ms`
);
console.log(
  JSON.stringify({
    optimalShare: Number((optimal / SMALL).toFixed(3)),
    runOutsInProtected: inProtected,
    provenShare: Number((proven / LARGE).toFixed(3))
  })
);
