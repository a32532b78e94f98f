import { benchDial } from './dial';
import { benchFiles } from './files';
import { benchBrackets, benchFit } from './fit';
import { benchBox, benchGoNoGo, benchTiles } from './gauges';
import { benchHttp } from './http';
import { benchBuilds, benchCurtain, benchSnapping, benchSwags } from './linking';
import { benchSize } from './size';
import { benchPairings, benchPressure } from './stuffing';

const chromium = process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium';

benchFit();
benchBrackets();
benchGoNoGo();
benchPairings();
benchSnapping();
benchSwags();
benchBuilds();
await benchTiles();
await benchBox({ chromium });
await benchPressure({ chromium });
await benchCurtain({ chromium });
await benchHttp();
await benchFiles({ chromium });
await benchDial({ chromium });
await benchSize({ chromium });
