import { benchDial } from './dial';
import { benchFiles } from './files';
import { benchBrackets, benchFit } from './fit';
import { benchBox, benchGoNoGo, benchTiles } from './gauges';
import { benchHttp } from './http';
import { benchSize } from './size';

const chromium = process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium';

benchFit();
benchBrackets();
benchGoNoGo();
await benchTiles();
await benchBox({ chromium });
await benchHttp();
await benchFiles({ chromium });
await benchDial({ chromium });
await benchSize({ chromium });
