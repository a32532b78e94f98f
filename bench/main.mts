import { benchFit } from './fit';
import { benchHttp } from './http';
import { benchSize } from './size';

benchFit();
await benchHttp();
await benchSize({ chromium: process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium' });
