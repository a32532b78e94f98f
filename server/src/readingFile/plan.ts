import { modelLabel } from '@leggero/contract';
import { and, eq, inArray } from 'drizzle-orm';
import { v5 } from 'uuid';

import type { Scope } from '../db/records';
import { BY_IDS } from '../db/statement';
import { calibrations, models, pumps, readings } from '../db/tables';
import type { ReadLine } from './line';

type NewModel = typeof models.$inferInsert;
type NewPump = typeof pumps.$inferInsert;
type NewCalibration = typeof calibrations.$inferInsert;
type NewReading = typeof readings.$inferInsert;

/** What an import adds. */
export interface ImportPlan {
  models: NewModel[];
  pumps: NewPump[];
  calibrations: NewCalibration[];
  readings: NewReading[];
  /** Readings that are there already. */
  known: number;
}

/** A neutral colour for a balloon that a file only names. */
const UNSEEN_COLOUR = '#b9b0a2';
const DEFAULT_PUMP: Record<ReadLine['inflator']['kind'], string> = {
  hand: 'Hand pump',
  timed: 'Timed inflator',
  twin: 'Two-nozzle inflator',
};
/** Ids asked for at once. */
const ASKED = 5000;

/**
 * Works out what the lines add to the studio's records. Ids that the file does not give are made from what the line
 * says, so that the same file imported twice adds nothing the second time.
 */
export async function planImport(scope: Scope, lines: readonly ReadLine[], now: Date): Promise<ImportPlan> {
  const planner = new Planner(scope.studioId, now);
  await planner.remember(scope);
  const planned: NewReading[] = [];
  for (const [i, line] of lines.entries()) {
    planned.push(planner.reading(line));
    if (i % ASKED === 0) await turn();
  }
  const there = await idsThere(
    scope,
    planned.map(({ id }) => id),
  );
  const seen = new Set(there);
  const fresh = planned.filter(({ id }) => !seen.has(id) && seen.add(id));
  return { ...planner.added, readings: fresh, known: planned.length - fresh.length };
}

async function idsThere({ database, studioId }: Scope, ids: readonly string[]): Promise<string[]> {
  const there: string[] = [];
  for (let i = 0; i < ids.length; i += ASKED) {
    const rows = await database
      .select({ id: readings.id })
      .from(readings, BY_IDS)
      .where(and(eq(readings.studioId, studioId), inArray(readings.id, ids.slice(i, i + ASKED))));
    for (const { id } of rows) there.push(id);
  }
  return there;
}

/** Finds or makes what each reading hangs on. */
class Planner {
  readonly added: Omit<ImportPlan, 'readings' | 'known'> = { models: [], pumps: [], calibrations: [] };
  private readonly modelIds = new Map<string, string>();
  private readonly pumpIds = new Map<string, string>();
  private readonly calibrationIds = new Set<string>();
  /** How often the same line came before: two equal readings are two readings. */
  private readonly repeats = new Map<string, number>();

  constructor(
    private readonly studioId: string,
    private readonly now: Date,
  ) {}

  async remember({ database, studioId }: Scope): Promise<void> {
    const [modelRows, pumpRows, calibrationRows] = await Promise.all([
      database.select().from(models).where(eq(models.studioId, studioId)),
      database.select().from(pumps).where(eq(pumps.studioId, studioId)),
      database.select({ id: calibrations.id }).from(calibrations).where(eq(calibrations.studioId, studioId)),
    ]);
    for (const row of modelRows) this.modelIds.set(modelLabel(row), row.id);
    for (const { name, kind, id } of pumpRows) this.pumpIds.set(pumpKey(name, kind), id);
    for (const { id } of calibrationRows) this.calibrationIds.add(id);
  }

  reading(line: ReadLine): NewReading {
    const { reading, takenAt, readingId } = line;
    const calibrationId = this.calibration(line);
    const { bracket, ...plain } = reading;
    const content = JSON.stringify([calibrationId, takenAt, reading]);
    const repeat = (this.repeats.get(content) ?? 0) + 1;
    this.repeats.set(content, repeat);
    return {
      id: readingId ?? this.idOf('reading', content, repeat),
      studioId: this.studioId,
      calibrationId,
      dose: plain.dose,
      widthMm: plain.widthMm ?? null,
      way: plain.way ?? 'tape',
      stopsMm: bracket?.stopsMm ?? null,
      passesMm: bracket?.passesMm ?? null,
      nozzle: plain.nozzle ?? null,
      balloon: plain.balloon ?? null,
      heightMm: plain.heightMm ?? null,
      sdMm: plain.sdMm ?? null,
      shape: plain.shape ?? null,
      outcome: plain.outcome,
      // Without a moment of their own, readings keep the order of their lines.
      takenAt: takenAt ?? new Date(this.now.getTime() + line.line).toISOString(),
    };
  }

  private calibration(line: ReadLine): string {
    const modelId = this.model(line);
    const pumpId = this.pump(line);
    const { calibration, preStretched, roundedOff } = line;
    const id =
      calibration !== null && UUID.test(calibration)
        ? calibration.toLowerCase()
        : this.idOf('calibration', modelId, pumpId, preStretched, roundedOff, calibration ?? '');
    if (!this.calibrationIds.has(id)) {
      this.calibrationIds.add(id);
      const startedAt = line.takenAt ?? this.now.toISOString();
      this.added.calibrations.push({
        id,
        studioId: this.studioId,
        modelId,
        pumpId,
        preStretched,
        roundedOff,
        startedAt,
      });
    }
    return id;
  }

  private model({ model }: ReadLine): string {
    const label = modelLabel(model);
    const found = this.modelIds.get(label);
    if (found) return found;
    const id = this.idOf('model', label);
    this.modelIds.set(label, id);
    this.added.models.push({ ...model, id, studioId: this.studioId, colourHex: UNSEEN_COLOUR });
    return id;
  }

  private pump({ inflator: { name, kind } }: ReadLine): string {
    const wanted = name ?? DEFAULT_PUMP[kind];
    const key = pumpKey(wanted, kind);
    // A two-nozzle inflator is dosed in seconds too; lines of it that name no nozzle belong to it.
    const found = this.pumpIds.get(key) ?? (kind === 'timed' ? this.pumpIds.get(pumpKey(wanted, 'twin')) : undefined);
    if (found) return found;
    const id = this.idOf('pump', key);
    this.pumpIds.set(key, id);
    this.added.pumps.push({
      id,
      studioId: this.studioId,
      name: wanted.slice(0, 80),
      kind,
      doseVolumeL: null,
    });
    return id;
  }

  private idOf(...parts: unknown[]): string {
    return v5(JSON.stringify(parts), this.studioId);
  }
}

/** Lets others have a turn. */
function turn(): Promise<void> {
  return new Promise((resolve) => setImmediate(resolve));
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

function pumpKey(name: string, kind: string): string {
  return `${kind} ${name.trim().toLowerCase()}`;
}
