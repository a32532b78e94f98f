import { run } from './lib/refusal.mjs';
import { serve } from './lib/serve.mjs';

await run(() => serve({ name: 'studio', demo: false, url: process.env.DATABASE_URL }));
