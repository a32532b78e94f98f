import type { Form } from './form';

/** One step of building a form. The words are the app's. */
export type FormStep =
  /** Chains for the spokes; an odd count has one chain half as long. */
  | { code: 'tie-spokes'; chains: number; balloons: number; half: boolean; widthMm: number }
  | { code: 'twist-middles'; chains: number }
  | { code: 'tie-ring'; key: string; ring: number; count: number; widthMm: number }
  /**
   * A basket's first ring at the knots between inner and outer spokes, its upper ring at their ends; other rings between
   * the balloons below, or upon them.
   */
  | { code: 'seat-ring'; key: string; ring: number; on: 'spokes' | 'ends' | 'between' | 'upon' }
  | { code: 'tie-points'; key: string; ring: number; count: number; widthMm: number }
  | { code: 'set-cap'; count: number; widthMm: number };

/** A moment where builders go wrong. */
export type FormNote =
  | 'twist-between-second-and-third'
  | 'close-ring-last'
  | 'points-not-balloons'
  | 'half-step'
  | 'equator-first'
  | 'keep-layers-apart';

/** The order in which a form is built, from its base up. */
export function formSteps({ shape, layers, ties }: Form): { steps: FormStep[]; notes: FormNote[] } {
  const based = shape.kind === 'basket';
  const steps: FormStep[] = [];
  if (based) {
    const { count, widthMm } = layers[0]!;
    const chains = Math.ceil(count / 2);
    steps.push({ code: 'tie-spokes', chains, balloons: 2 * count, half: count % 2 === 1, widthMm });
    steps.push({ code: 'twist-middles', chains });
  }
  let ring = 0;
  for (const [i, { key, role, count, widthMm }] of inBuildingOrder(layers)) {
    if (role === 'cap') steps.push({ code: 'set-cap', count: 1, widthMm });
    if (role !== 'ring') continue;
    ring += 1;
    steps.push({ code: 'tie-ring', key, ring, count, widthMm });
    const on = based ? (['spokes', 'ends'] as const)[ring - 1] : ring > 1 ? 'between' : null;
    if (on !== null) steps.push({ code: 'seat-ring', key, ring, on: on ?? 'upon' });
    const tie = ties.find(({ above }) => above === i);
    if (tie) steps.push({ code: 'tie-points', key: tie.key, ring, count: tie.count, widthMm: tie.widthMm });
  }
  return { steps, notes: notesOf(shape.kind, layers.length) };
}

/** From the base up; a ball from its equator up, then down. */
function inBuildingOrder(layers: Form['layers']): [number, Form['layers'][number]][] {
  const all = [...layers.entries()];
  const start = layers.findIndex(({ key }) => key === 'ring-1' || key === 'spokes');
  return [...all.slice(start), ...all.slice(0, start).reverse()];
}

function notesOf(kind: Form['shape']['kind'], layers: number): FormNote[] {
  return [
    ...(kind === 'basket' ? (['twist-between-second-and-third', 'points-not-balloons'] as const) : []),
    ...(kind === 'ball' ? (['equator-first'] as const) : []),
    ...(kind !== 'basket' && layers > 1 ? (['half-step'] as const) : []),
    'close-ring-last',
    ...(layers > 1 ? (['keep-layers-apart'] as const) : []),
  ];
}
