import path from 'node:path';

import { ensureChromium } from './lib/chromium.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { run } from './lib/refusal.mjs';
import { ensureWeb } from './lib/web.mjs';

/** Prints every figure of speed and size beside its yardstick. */
await run(async () => {
  await ensurePackages();
  const chromium = await ensureChromium();
  await ensureWeb();
  const { code } = await runCommand(process.execPath, [await bundled()], {
    env: { LEGGERO_CHROMIUM: chromium, NODE_ENV: 'production' },
  });
  process.exitCode = code;
});

/** The measuring program as one file: plain JavaScript, as a browser gets it, beside its sources. */
async function bundled() {
  const { build } = await import('esbuild');
  const outfile = path.join(ROOT, 'bench/.main.mjs');
  await build({
    entryPoints: [path.join(ROOT, 'bench/main.mts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
    plugins: [
      {
        name: 'own code in, packages out',
        setup({ onResolve }) {
          onResolve({ filter: /^[^./]/ }, ({ path: name }) =>
            name.startsWith('@leggero/') || name.startsWith('@/') || path.isAbsolute(name)
              ? undefined
              : { external: true },
          );
        },
      },
    ],
  });
  return outfile;
}
