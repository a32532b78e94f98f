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
  const { code } = await runCommand(
    process.execPath,
    ['--import', 'tsx', path.join(ROOT, 'bench/main.mts')],
    {
      env: { LEGGERO_CHROMIUM: chromium, NODE_ENV: 'production' },
    },
  );
  process.exitCode = code;
});
