import type { Form } from './form';

/** One step of building a form. The words are the app's. */
export type FormStep =
  /** Chains for the spokes; an odd count has one chain half as long. */
  | { code: 'tie-spokes'; chains: number; balloons: number; half: boolean; widthMm: number }
  | { code: 'twist-middles'; chains: number }
  | { code: 'tie-ring'; key: string; ring: number; count: number; widthMm: number }
  /** The first ring between the spokes' ends; `turned` rings between the balloons below, straight ones on them. */
  | { code: 'seat-ring'; key: string; ring: number; on: 'spokes' | 'between' | 'upon' }
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
  for (const [i, { key, role, count, widthMm, turned }] of inBuildingOrder(layers)) {
    if (role === 'cap') steps.push({ code: 'set-cap', count: 1, widthMm });
    if (role !== 'ring') continue;
    ring += 1;
    steps.push({ code: 'tie-ring', key, ring, count, widthMm });
    const below = layers[i - 1];
    if (based && ring === 1) steps.push({ code: 'seat-ring', key, ring, on: 'spokes' });
    else if (ring > 1)
      steps.push({
        code: 'seat-ring',
        key,
        ring,
        on: based && below?.turned === turned ? 'upon' : 'between',
      });
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
