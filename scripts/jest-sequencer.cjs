const path = require('node:path');
const { default: Sequencer } = require('@jest/test-sequencer');

/** What takes longest, and waits most for others, begins first. */
const FIRST = ['e2e', 'scripts', 'app', 'core', 'server', 'contract'];
const placeOf = ({ path: file }) => FIRST.indexOf(path.relative(path.dirname(__dirname), file).split(path.sep)[0]);

module.exports = class extends Sequencer {
  sort(tests) {
    // The own order of Jest, by how long each file took, stays within a project.
    return super.sort(tests).sort((a, b) => placeOf(a) - placeOf(b));
  }
};
