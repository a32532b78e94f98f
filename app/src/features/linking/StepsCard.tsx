import type { PieceForm } from '@leggero/contract';
import { formSteps, type Form, type Handle } from '@leggero/core/linking';
import { View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';

import { Card } from '@/ui/Card';
import { Steps } from '@/ui/Steps';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { FORM_NOTES, formStepText } from '@/wording/linking';

interface StepsCardProps {
  form: Form;
  kind: PieceForm;
  handle: Handle | null;
  text: (mm: number) => string;
}

/** The order of building, with the twist marked, and the moments that confuse. */
export function StepsCard({ form, kind, handle, text }: StepsCardProps) {
  const { steps, notes } = formSteps(form);
  const words = steps.map((step) => formStepText(step, kind, text));
  if (handle) {
    words.push(
      `Fill the handle’s balloon to ${text(handle.bodyMm)} and leave a tail of ${text(handle.tailMm)}. ` +
        `Twist at ${text(handle.twistsAtMm[0])} and ${text(handle.twistsAtMm[1])} from the knot, a ` +
        'bubble around each of two points across.',
    );
  }
  return (
    <Card title="Building order">
      {kind === 'basket' ? <Twist count={form.shape.count} /> : null}
      <Steps steps={words} />
      <View className="mt-3 gap-1 border-t border-line pt-3">
        {notes.map((note) => (
          <Words key={note} look="quiet">
            {FORM_NOTES[note]}
          </Words>
        ))}
      </View>
    </Card>
  );
}

/** One chain of four with its twist: between the second and the third. */
function Twist({ count }: { count: number }) {
  const palette = usePalette();
  return (
    <View
      className="mb-3 flex-row items-center gap-3"
      role="img"
      aria-label="A chain of four, twisted between its second and third balloon"
    >
      <Svg width={168} height={44} viewBox="0 0 168 44" aria-hidden>
        {[20, 58, 110, 148].map((cx) => (
          <Circle key={cx} cx={cx} cy={22} r={17} fill={palette.sunk} stroke={palette.quiet} />
        ))}
        <Line x1={78} x2={90} y1={14} y2={30} stroke={palette.kiln} strokeWidth={3} />
        <Line x1={90} x2={78} y1={14} y2={30} stroke={palette.kiln} strokeWidth={3} />
      </Svg>
      <Words look="quiet" className="flex-1">{`Twist here: ${count} spokes of two.`}</Words>
    </View>
  );
}
