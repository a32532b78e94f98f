import { benchDial } from './dial';
import { benchFiles } from './files';
import { benchBrackets, benchFit } from './fit';
import { benchHttp } from './http';
import { benchSize } from './size';

const chromium = process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium';

benchFit();
benchBrackets();
await benchHttp();
await benchFiles({ chromium });
await benchDial({ chromium });
await benchSize({ chromium });
