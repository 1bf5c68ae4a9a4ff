/** The order of stops against every order there is, and against the file’s own order on longer items. */
import { bestOrder, compareCosts, orderCost } from '$lib/core/solvers/stopOrder';
import { bruteOrder, randomTasks } from '../unit/support/bruteForce';

const SMALL = 240;
const LARGE = 40;

let optimal = 0;
for (let seed = 0; seed < SMALL; seed++) {
  const wait = [0.05, 0.15, 0.3, 0.5][seed % 4] ?? 0.3;
  // Nine stops that wait for nothing have 362,880 orders: a few of those, and many that wait for each other.
  const count = wait < 0.1 ? 5 + (seed % 4) : 5 + (seed % 5);
  const tasks = randomTasks(count, seed, { wait, hands: 0.1 });
  const { cost, order } = bestOrder(tasks);
  const holds = compareCosts(cost, orderCost(tasks, order)) === 0;
  if (holds && compareCosts(cost, bruteOrder(tasks)) === 0) optimal += 1;
}
console.log(`${SMALL} items of 5 to 9 stops and halts: the best order of all on ${optimal}`);

let saved = 0;
let proven = 0;
let slowest = 0;
let [before, after] = [0, 0];
for (let seed = 0; seed < LARGE; seed++) {
  const count = 12 + Math.round((seed * 48) / (LARGE - 1));
  const tasks = randomTasks(count, 1000 + seed, { colours: 3 + (seed % 6), wait: 0.06, hands: 0.12 });
  const file = orderCost(
    tasks,
    tasks.map(({ id }) => id)
  );
  const start = performance.now();
  const found = bestOrder(tasks);
  slowest = Math.max(slowest, performance.now() - start);
  if (found.proven) proven += 1;
  before += file.threads;
  after += found.cost.threads;
  saved += 1 - found.cost.threads / file.threads;
}
console.log(
  `${LARGE} items of 12 to 60 stops and halts: ${before} thread changes in the file, ${after} in our order; proven best on ${proven}; slowest ${Math.round(slowest)} ms`
);
console.log(
  JSON.stringify({
    optimalShare: Number((optimal / SMALL).toFixed(3)),
    meanSaved: Number((saved / LARGE).toFixed(3)),
    provenShare: Number((proven / LARGE).toFixed(3))
  })
);
