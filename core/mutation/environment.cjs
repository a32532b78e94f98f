const { mixinJestEnvironment } = require('@stryker-mutator/jest-runner');
const { TestEnvironment } = require('jest-environment-node');

/** One test that fails is enough to notice a mutant: those after it are left out. */
class UntilNoticed extends TestEnvironment {
  noticed = false;

  handleTestEvent(event) {
    if (event.name === 'test_fn_failure') this.noticed = true;
    if (event.name === 'test_start' && this.noticed) event.test.mode = 'skip';
  }
}

module.exports = mixinJestEnvironment(UntilNoticed);
