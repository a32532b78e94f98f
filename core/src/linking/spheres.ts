import type { Form, FormLayer } from './form';

/** One balloon of a form, in space: x to the right, y to the back, z up, mm. */
export interface Sphere {
  /** The layer's place among `layers`, or among `ties`. */
  layer: number;
  tie: boolean;
  /** Its size's name. */
  key: string;
  /** Its place in the layer. */
  index: number;
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
}

/** Two balloons that touch, or that a joint holds apart. */
export interface Contact {
  a: number;
  b: number;
  /** From centre to centre, mm. */
  distanceMm: number;
}

/** Every balloon of a form where it sits, its ties after its layers. */
export function spheresOf({ layers, ties }: Pick<Form, 'layers' | 'ties'>): Sphere[] {
  const around = [
    ...layers.map((layer, i) => ({ ...layer, layer: i, tie: false })),
    ...ties.map((layer, i) => ({ ...layer, layer: i, tie: true })),
  ];
  return around.flatMap(({ layer, tie, key, count, widthMm, radiusMm, heightMm, turned }) =>
    Array.from({ length: count }, (_, index): Sphere => {
      const angle = (2 * Math.PI * (index + turned)) / count;
      const [xMm, yMm] = [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
      return { layer, tie, key, index, xMm, yMm, zMm: heightMm, widthMm };
    }),
  );
}

/**
 * The layer that a layer rests on, touching it; null for the lowest, and for the rings of a basket that its spokes
 * hold by the knots: those press into what is around them.
 */
function heldBy(layers: readonly FormLayer[], i: number): number | null {
  const inner = layers.findIndex(({ role }) => role === 'inner-spokes');
  if (inner < 0) return i > 0 ? i - 1 : null;
  if (layers[i]!.role === 'outer-spokes') return inner;
  return i > inner + FIRST_FREE_RING - 1 ? i - 1 : null;
}

/** Above its spokes and two rings a basket's rings stand upon each other. */
const FIRST_FREE_RING = 4;

/** Every contact that a form is made to keep: within its rings, from layer to layer, and of its ties. */
export function contactsOf({ shape, layers, ties }: Form): Contact[] {
  const starts: number[] = [];
  let total = 0;
  for (const { count } of [...layers, ...ties]) {
    starts.push(total);
    total += count;
  }
  const at = (place: number, index: number) => {
    const { count } = [...layers, ...ties][place]!;
    return starts[place]! + (((index % count) + count) % count);
  };
  const contacts: Contact[] = [];
  const keep = (a: number, b: number, distanceMm: number) => contacts.push({ a, b, distanceMm });
  const apartWithin = ({ role, jointMm }: FormLayer) => (role === 'inner-spokes' ? shape.jointMm : jointMm);
  layers.forEach((layer, i) => {
    const within = apartWithin(layer);
    if (within !== null) for (let k = 0; k < layer.count; k += 1) keep(at(i, k), at(i, k + 1), layer.widthMm + within);
    const held = heldBy(layers, i);
    if (held === null) return;
    const below = layers[held]!;
    const joint = layer.role === 'outer-spokes' ? shape.jointMm : 0;
    const distanceMm = (layer.widthMm + below.widthMm) / 2 + joint;
    const [many, few] = layer.count >= below.count ? [i, held] : [held, i];
    for (let k = 0; k < Math.max(layer.count, below.count); k += 1) {
      if (layers[few]!.count === 1 || layer.turned === below.turned) keep(at(many, k), at(few, k), distanceMm);
      else {
        // Ball k of a turned ring sits between k and k + 1 of the other.
        const turned = layer.turned === 0.5 ? i : held;
        const other = turned === i ? held : i;
        keep(at(turned, k), at(other, k), distanceMm);
        keep(at(turned, k), at(other, k + 1), distanceMm);
      }
    }
  });
  ties.forEach((tie, i) => {
    const place = layers.length + i;
    for (const side of [tie.below, tie.above]) {
      const { widthMm, turned } = layers[side]!;
      for (let k = 0; k < tie.count; k += 1) {
        // A point lies between ball k and the next, on whichever side the ring is turned to.
        const first = turned === 0.5 ? k - 1 : k;
        for (const index of [first, first + 1]) keep(at(place, k), at(side, index), (widthMm + tie.widthMm) / 2);
      }
    }
  });
  return contacts;
}
