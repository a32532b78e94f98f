const { FOLDER, TESTS } = require('./tests.cjs');

// As one file, so that the core is loaded once for each mutant and not once for each of its tests.
for (const name of TESTS[FOLDER]) require(`../test/${name}.test.ts`);
