const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');

const { transformSync } = require('esbuild');

/**
 * Jest looks a global up anew each time it is named, which costs more than what is reckoned with it: a file names those
 * once, at its top.
 */
const GLOBALS = 'const { Array, Float64Array, Map, Math, Number, Object, Set } = globalThis;';

const OWN = readFileSync(__filename, 'utf8');

/** Jest's transform for everything but the app: types off, modules to CommonJS. */
module.exports = {
  /** What was transformed before is good for as long as neither the file nor how it is done is another. */
  getCacheKey(source, file, { configString }) {
    return [OWN, source, file, configString]
      .reduce((hash, part) => hash.update(part), createHash('sha1'))
      .digest('hex');
  },

  process(source, file) {
    const { code, map } = transformSync(source, {
      loader: file.endsWith('.mjs') ? 'js' : 'ts',
      format: 'cjs',
      target: 'node20',
      // Jest has no modules to import as it goes.
      supported: { 'dynamic-import': false },
      sourcemap: 'external',
      sourcefile: file,
      // CommonJS has no import.meta; the few that ask for their own place get it this way.
      define: { 'import.meta.url': '__import_meta_url' },
      banner: `${GLOBALS} const __import_meta_url = require('node:url').pathToFileURL(__filename).href;`,
    });
    return { code, map };
  },
};
