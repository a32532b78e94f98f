import { MM_PER_INCH, type Trade } from '@leggero/core';
import { curlOf, leafOf, loopOf, mostInSpray, sprayOf } from '@leggero/core/modelling';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { LengthField } from '@/parts/LengthField';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { shapeProblemText } from '@/wording/modelling';

import type { PartProps } from './LengthPart';
import { ShapePicture, type ShapeLines } from './ShapePicture';

const SHAPES = [
  { value: 'leaf', title: 'Leaf' },
  { value: 'loop', title: 'Loop' },
  { value: 'spray', title: 'Spray' },
  { value: 'curl', title: 'Curl' },
] as const;
type ShapeName = (typeof SHAPES)[number]['value'];

const FIRST_MM: Record<'leaf' | 'loop' | 'curl', number> = {
  leaf: 12 * MM_PER_INCH,
  loop: 12 * MM_PER_INCH,
  curl: 2 * MM_PER_INCH,
};

/** A leaf, a loop, a spray or a curl of a wanted size: drawn, with what it takes. */
export function ShapesPart({ model, size, lengths }: PartProps) {
  const trade = useTrade();
  const [params, ask] = useAddress<'shape' | 'mm' | 'count'>();
  const shape: ShapeName = SHAPES.find(({ value }) => value === params.shape)?.value ?? 'leaf';
  const { long: text } = lengths;
  const mm = params.mm === undefined ? (shape === 'spray' ? 0 : FIRST_MM[shape]) : Number(params.mm);
  const count = Number(params.count ?? Math.min(6, mostInSpray(size, trade)));
  const choose = (value: string) => ask({ shape: value, mm: undefined });
  const found = made(shape, { size, mm, count, trade });
  return (
    <>
      <Segmented label="Shape" options={SHAPES} value={shape} onChange={choose} />
      {found.ok ? (
        <ShapePicture
          lines={found.lines}
          size={size}
          colourHex={model.colourHex}
          label={`${shape}, to scale: ${found.says(text)}`}
        />
      ) : null}
      {shape === 'spray' ? (
        <Stepper
          label="balloons twisted at their middles"
          value={count}
          shown={String(count)}
          step={1}
          least={2}
          most={mostInSpray(size, trade)}
          onChange={(to) => ask({ count: String(to) })}
        />
      ) : (
        <LengthField
          key={shape}
          label={FIELDS[shape]}
          long
          value={mm || null}
          lengths={lengths}
          error={found.ok ? undefined : shapeProblemText(found.problem, text)}
          onChange={(to) => ask({ mm: String(to ?? 0) })}
        />
      )}
      {found.ok ? (
        <View role="status">
          <Words look="strong">{found.says(text)}</Words>
        </View>
      ) : null}
      <Words look="quiet">{HOW[shape]}</Words>
    </>
  );
}

const FIELDS = { leaf: 'Leaf, stem to tip', loop: 'Loop, over everything', curl: 'Wound around' } as const;
const HOW: Record<ShapeName, string> = {
  leaf: 'Bend it back on itself, press the tip, and twist both ends together at the stem.',
  loop: 'Tie or twist the ends together; leave the tail for the twist.',
  spray: 'Fill all alike, let a little out, and twist each at its middle into the others.',
  curl:
    'Wind it empty around a tube, fill it there, and slip it off. ' +
    'Filled and emptied once before, it curls more easily.',
};

type Write = (mm: number) => string;

/** Works a shape out, with the lines that draw it and the sentence that says it. */
function made(
  shape: ShapeName,
  { size, mm, count, trade }: Pick<PartProps, 'size'> & { mm: number; count: number; trade: Trade },
) {
  const says = (sentence: (text: Write) => string, lines: ShapeLines) => ({
    ok: true as const,
    says: sentence,
    lines,
  });
  if (shape === 'leaf') {
    const leaf = leafOf({ size, longMm: mm, trade });
    if (!leaf.ok) return leaf;
    const { longMm, acrossMm, bodyMm, tailMm } = leaf.value;
    return says(
      (text) => `Fill ${text(bodyMm)}, leave ${text(tailMm)} empty: ${text(longMm)} long, ${text(acrossMm)} across.`,
      { shape, longMm, acrossMm },
    );
  }
  if (shape === 'loop') {
    const loop = loopOf({ size, outsideMm: mm, trade });
    if (!loop.ok) return loop;
    const { bodyMm, tailMm, insideMm, outsideMm } = loop.value;
    return says((text) => `Fill ${text(bodyMm)}, leave ${text(tailMm)} empty: ${text(insideMm)} clear inside.`, {
      shape,
      outsideMm,
    });
  }
  if (shape === 'spray') {
    const spray = sprayOf({ size, count, trade });
    if (!spray.ok) return spray;
    const { rays, rayMm, acrossMm } = spray.value;
    return says((text) => `${rays} rays of ${text(rayMm)}: ${text(acrossMm)} across.`, {
      shape,
      rays,
      rayMm,
    });
  }
  const curl = curlOf({ size, formerMm: mm, trade });
  if (!curl.ok) return curl;
  const { turns, acrossMm, alongMm } = curl.value;
  return says(
    (text) => `${turns.toFixed(1)} turns, ${text(acrossMm)} across; ${text(alongMm)} long while the turns touch.`,
    { shape, turns, acrossMm, alongMm },
  );
}
