import { benchDial } from './dial';
import { benchFiles } from './files';
import { benchBrackets, benchFit } from './fit';
import { benchBox, benchGoNoGo, benchTiles } from './gauges';
import { benchHttp } from './http';
import { benchSize } from './size';
import { benchPairings, benchPressure } from './stuffing';

const chromium = process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium';

benchFit();
benchBrackets();
benchGoNoGo();
benchPairings();
await benchTiles();
await benchBox({ chromium });
await benchPressure({ chromium });
await benchHttp();
await benchFiles({ chromium });
await benchDial({ chromium });
await benchSize({ chromium });
