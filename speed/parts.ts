import { measureBackup } from './backup';
import type { Bench } from './bench';
import { measureBow, measureColumn, measureCrescent, measureSimulated, measureTaper } from './building';
import { measureCrowd } from './crowd';
import { measureDial } from './dial';
import { measureFiles } from './files';
import { measureBrackets, measureFits } from './fits';
import { measureGarland } from './garland';
import { measureBox, measureGoNoGo, measureTiles } from './gauges';
import { measureHttp, measureWrites } from './http';
import { measureBuilds, measureCurtain, measureRest, measureSnapping, measureSwags } from './linking';
import { measureLog } from './log';
import { measureReplica } from './replica';
import { measureSchedule } from './schedule';
import { measureSize } from './size';
import { measureSpace } from './space';
import { measureStation } from './station';
import { measureStore } from './store';
import { measurePairings, measurePressure } from './stuffing';
import { measurePaper, measureSupply } from './supply';

interface Part {
  name: string;
  measure: (bench: Bench) => void | Promise<void>;
}

/** Everything that is measured, in order: pure computing first, then pages, and last what changes a demo. */
export const PARTS: readonly Part[] = [
  { name: 'fits', measure: measureFits },
  { name: 'brackets', measure: measureBrackets },
  { name: 'go-no-go', measure: measureGoNoGo },
  { name: 'pairings', measure: measurePairings },
  { name: 'snapping', measure: measureSnapping },
  { name: 'rest', measure: measureRest },
  { name: 'swags', measure: measureSwags },
  { name: 'builds', measure: measureBuilds },
  { name: 'column', measure: measureColumn },
  { name: 'taper', measure: measureTaper },
  { name: 'crescent', measure: measureCrescent },
  { name: 'bow', measure: measureBow },
  { name: 'simulated', measure: measureSimulated },
  { name: 'garland', measure: measureGarland },
  { name: 'supply', measure: measureSupply },
  { name: 'schedule', measure: measureSchedule },
  { name: 'paper', measure: measurePaper },
  { name: 'tiles', measure: measureTiles },
  { name: 'box', measure: measureBox },
  { name: 'pressure', measure: measurePressure },
  { name: 'dial', measure: measureDial },
  { name: 'http', measure: measureHttp },
  { name: 'writes', measure: measureWrites },
  { name: 'store', measure: measureStore },
  { name: 'backup', measure: measureBackup },
  { name: 'crowd', measure: measureCrowd },
  { name: 'replica', measure: measureReplica },
  { name: 'station', measure: measureStation },
  { name: 'log', measure: measureLog },
  { name: 'space', measure: measureSpace },
  { name: 'curtain', measure: measureCurtain },
  { name: 'files', measure: measureFiles },
  { name: 'size', measure: measureSize },
];
