import { ok, problem, type Result } from '../result';
import { meanOf, sdInterval, type Ranged } from '../statistics';
import { fTail } from '../statistics/fRatio';

/** A line of the analysis of variance. */
export interface VarianceLine {
  degreesOfFreedom: number;
  squares: number;
  meanSquare: number;
  /** Ratio to the line it is held against, and how rare so large a one is by chance; `null` for the last line. */
  ratio: number | null;
  chance: number | null;
}

/** A part of the spread, as a standard deviation and as a share of the whole variance. */
export interface SpreadPart {
  sdMm: number;
  share: number;
}

/** What a study of the sizing itself tells. */
export interface SizingStudy {
  balloons: VarianceLine;
  people: VarianceLine;
  interaction: VarianceLine;
  repeats: VarianceLine;
  /** The interaction was no larger than chance makes it, and counts as repeatability. */
  pooled: boolean;
  parts: {
    /** The same hands, the same balloon, again. */
    repeatability: SpreadPart & { interval: Ranged };
    /** Between people on the whole. */
    people: SpreadPart;
    /** People who differ on some balloons and agree on others. */
    interaction: SpreadPart;
    /** Between the balloons. */
    balloons: SpreadPart;
  };
  /** Repeatability, people and interaction together: what the sizing adds. */
  sizing: SpreadPart;
  /** The largest of the sizing's own parts. */
  largest: 'repeatability' | 'people' | 'interaction';
  /** Each person's mean less the mean of all, mm. */
  leansMm: number[];
}

export type StudyProblemCode = 'too-few-balloons' | 'too-few-people' | 'too-few-repeats' | 'missing-cell' | 'bad-width';

/** A ratio this likely by chance is no interaction: its squares are pooled with the repeats'. */
const POOL_ABOVE = 0.25;

/**
 * Splits a crossed study into repeatability, people, interaction and balloons by a two-way analysis of variance with
 * random effects. `widthsMm[balloon][person][repeat]`; every cell has the same number of repeats. A component below
 * zero counts as zero.
 *
 * Source: Montgomery, Design and Analysis of Experiments, section 13.3; the pooling rule (chance above 0.25) as in
 * Measurement Systems Analysis (AIAG), 4th edition, appendix A.
 *
 * Problems: fewer than two balloons, people or repeats; `missing-cell`, naming balloon, person and repeat from 0;
 * `bad-width`.
 */
export function sizingStudy(
  widthsMm: readonly (readonly (readonly (number | null)[])[])[],
): Result<SizingStudy, StudyProblemCode> {
  const b = widthsMm.length;
  const p = widthsMm[0]?.length ?? 0;
  const r = Math.max(0, ...widthsMm.flatMap((row) => row.map((cell) => cell.length)));
  if (b < 2) return problem('too-few-balloons', { field: 'balloons', detail: { least: 2 } });
  if (p < 2) return problem('too-few-people', { field: 'people', detail: { least: 2 } });
  if (r < 2) return problem('too-few-repeats', { field: 'repeats', detail: { least: 2 } });
  for (let balloon = 0; balloon < b; balloon += 1) {
    for (let person = 0; person < p; person += 1) {
      for (let repeat = 0; repeat < r; repeat += 1) {
        const width = widthsMm[balloon]?.[person]?.[repeat];
        const field = `widthsMm.${balloon}.${person}.${repeat}`;
        if (width === null || width === undefined) {
          return problem('missing-cell', { field, detail: { balloon, person, repeat } });
        }
        if (!(width > 0 && Number.isFinite(width))) return problem('bad-width', { field });
      }
    }
  }
  return ok(split(widthsMm as readonly (readonly (readonly number[])[])[]));
}

function split(widths: readonly (readonly (readonly number[])[])[]): SizingStudy {
  const b = widths.length;
  const p = widths[0]!.length;
  const r = widths[0]![0]!.length;
  const grand = meanOf(widths.flat(2));
  const ofBalloon = widths.map((row) => meanOf(row.flat()));
  const ofPerson = widths[0]!.map((_, person) => meanOf(widths.flatMap((row) => row[person]!)));
  const squared = (values: readonly number[], around: number) =>
    values.reduce((sum, value) => sum + (value - around) ** 2, 0);

  const forBalloons = p * r * squared(ofBalloon, grand);
  const forPeople = b * r * squared(ofPerson, grand);
  let forRepeats = 0;
  let forInteraction = 0;
  widths.forEach((row, i) =>
    row.forEach((cell, j) => {
      const mean = meanOf(cell);
      forRepeats += squared(cell, mean);
      forInteraction += r * (mean - ofBalloon[i]! - ofPerson[j]! + grand) ** 2;
    }),
  );

  const cross = { df: (b - 1) * (p - 1), squares: forInteraction };
  const within = { df: b * p * (r - 1), squares: forRepeats };
  const interaction = lineOf(cross.df, cross.squares, within);
  const pooled = interaction.chance === null || interaction.chance > POOL_ABOVE;
  const error = pooled
    ? { df: cross.df + within.df, squares: cross.squares + within.squares }
    : { df: within.df, squares: within.squares };
  const against = pooled ? error : cross;
  const balloons = lineOf(b - 1, forBalloons, against);
  const people = lineOf(p - 1, forPeople, against);
  const repeats = lineOf(within.df, within.squares, null);

  const errorSquare = error.squares / error.df;
  const againstSquare = against.squares / against.df;
  const variance = {
    repeatability: errorSquare,
    people: Math.max(0, (people.meanSquare - againstSquare) / (b * r)),
    interaction: pooled ? 0 : Math.max(0, (interaction.meanSquare - errorSquare) / r),
    balloons: Math.max(0, (balloons.meanSquare - againstSquare) / (p * r)),
  };
  const whole = variance.repeatability + variance.people + variance.interaction + variance.balloons;
  const part = (value: number): SpreadPart => ({
    sdMm: Math.sqrt(value),
    share: whole === 0 ? 0 : value / whole,
  });
  const sd = Math.sqrt(variance.repeatability);
  const interval = sd === 0 ? { low: 0, high: 0 } : sdInterval({ sd, degreesOfFreedom: error.df });
  const own = ['repeatability', 'people', 'interaction'] as const;
  return {
    balloons,
    people,
    interaction,
    repeats,
    pooled,
    parts: {
      repeatability: { ...part(variance.repeatability), interval: { value: sd, ...interval } },
      people: part(variance.people),
      interaction: part(variance.interaction),
      balloons: part(variance.balloons),
    },
    sizing: part(variance.repeatability + variance.people + variance.interaction),
    largest: own.reduce((most, each) => (variance[each] > variance[most] ? each : most)),
    leansMm: ofPerson.map((mean) => mean - grand),
  };
}

function lineOf(
  degreesOfFreedom: number,
  squares: number,
  against: { df: number; squares: number } | null,
): VarianceLine {
  const meanSquare = squares / degreesOfFreedom;
  const below = against ? against.squares / against.df : 0;
  const ratio = against && below > 0 ? meanSquare / below : null;
  const chance = ratio === null ? null : fTail({ ratio, above: degreesOfFreedom, below: against!.df });
  return { degreesOfFreedom, squares, meanSquare, ratio, chance };
}
