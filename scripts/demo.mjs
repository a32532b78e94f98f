import { run } from './lib/refusal.mjs';
import { serve } from './lib/serve.mjs';

await run(() => serve({ name: 'demo', demo: true }));
