import { CHANGES, MAKES, coreBalloon, NOUNS, MODEL_DEFAULTS } from '../src';
import { calibrationFileSchema } from '../src/calibrationFile';

const id = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2a';
const other = '3f2b7c1e-8d4a-4c0e-9b1a-2f6d5e4c3b2b';
/** A model as it was before there were pairs and other kinds. */
const plain = {
  id,
  line: 'Tarn Satin',
  kind: 'round',
  nominalMm: 279.4,
  finish: 'pearl',
  colourName: 'tide blue',
  colourHex: '#3d6fa6',
};
const paths = (result: { error?: { issues: { path: PropertyKey[] }[] } | undefined }) =>
  result.error?.issues.map(({ path }) => path.join('.')) ?? [];

describe('a model', () => {
  it('written before there were pairs is a single plain one', () => {
    expect(MAKES.model.parse(plain)).toEqual({ ...plain, ...MODEL_DEFAULTS });
    expect(NOUNS.model.row.parse({ ...plain, demo: false })).toMatchObject(MODEL_DEFAULTS);
  });

  it('is changed only where a change says so: nothing is filled in', () => {
    expect(CHANGES.model.parse({ line: ' Satin ' })).toEqual({ line: 'Satin' });
    expect(CHANGES.model.parse({ outerId: other, stock: 3 })).toEqual({ stock: 3 });
  });

  it('is a pair with both or a single with neither', () => {
    expect(paths(MAKES.model.safeParse({ ...plain, outerId: other }))).toEqual(['innerId']);
    expect(MAKES.model.safeParse({ ...plain, outerId: other, innerId: other }).success).toBe(true);
  });

  it('has a length where it is a modelling balloon', () => {
    const long = { ...plain, kind: 'modelling', nominalMm: 50.8 };
    expect(paths(MAKES.model.safeParse(long))).toEqual(['lengthMm']);
    expect(MAKES.model.safeParse({ ...long, lengthMm: 1524 }).success).toBe(true);
  });

  it('is counted in whole balloons', () => {
    for (const stock of [-1, 1.5]) expect(paths(MAKES.model.safeParse({ ...plain, stock }))).toEqual(['stock']);
  });

  it('is taken by the core as stuffed once it is a pair', () => {
    const shelf = {
      ...MAKES.model.parse(plain),
      demo: false,
      calibrations: [],
      holdTests: [],
      uses: 0,
    };
    expect(coreBalloon(shelf).stuffed).toBe(false);
    expect(coreBalloon({ ...shelf, outerId: other, innerId: other }).stuffed).toBe(true);
  });
});

describe('older files and pumps', () => {
  it('are read with what they lack', () => {
    const pump = { id, name: 'Skiff', kind: 'hand', doseVolumeL: null };
    expect(MAKES.pump.parse(pump)).toEqual({ ...pump, mostKPa: null });
    expect(CHANGES.pump.parse({ name: 'Skiff' })).toEqual({ name: 'Skiff' });
    const file = {
      format: 'leggero-calibration',
      version: 1,
      model: plain,
      pump,
      calibration: {
        id,
        modelId: id,
        pumpId: id,
        preStretched: false,
        roundedOff: false,
        startedAt: '2026-11-16T17:00:00.000Z',
        readings: [],
      },
    };
    expect(calibrationFileSchema.parse(file).model).toMatchObject(MODEL_DEFAULTS);
  });
});
