import path from 'node:path';

/** Own code goes in, packages stay out. */
const OWN_CODE = {
  name: 'own code in, packages out',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path: name }) =>
      name.startsWith('@leggero/') || name.startsWith('@/') || path.isAbsolute(name) ? undefined : { external: true },
    );
  },
};

/** A program and the own code it imports, as one file of plain JavaScript. */
export async function bundle(entry) {
  // Here, so that a fresh clone reads this file before its packages are installed.
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [entry],
    bundle: true,
    write: false,
    platform: 'node',
    format: 'esm',
    sourcemap: 'inline',
    sourcesContent: false,
    logLevel: 'error',
    plugins: [OWN_CODE],
  });
  return outputFiles[0].text;
}
