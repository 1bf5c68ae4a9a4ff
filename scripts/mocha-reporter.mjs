import { writeFileSync } from 'node:fs';
import mocha from 'mocha';

/** Mocha's own list, with its counts and times left behind for the lines that close `npm test`. */
export default class CountingReporter extends mocha.reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const times = [];
    const failures = [];
    runner.on(mocha.Runner.constants.EVENT_TEST_END, (test) =>
      times.push({ title: test.fullTitle(), ms: test.duration ?? 0 })
    );
    runner.on(mocha.Runner.constants.EVENT_TEST_FAIL, (test, { message }) =>
      failures.push(`${test.fullTitle()}: ${message}`)
    );
    runner.once(mocha.Runner.constants.EVENT_RUN_END, () => {
      writeFileSync(
        `test-results/${process.env.UNIT_REPORT ?? 'unit.json'}`,
        JSON.stringify({ stats: this.stats, times, failures })
      );
    });
  }
}
