import { MOST_COLOURS } from '@leggero/contract';
import { PATTERN_KINDS } from '@leggero/core';
import { isAround, type MapNotice } from '@leggero/core/building';
import Plus from 'lucide-react-native/icons/plus';
import { Pressable, View } from 'react-native';

import { PartPick, Removable } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { EVERY_WORDS, mapNoticeText, PATTERN_WORDS } from '@/wording/building';

import { Swatch } from './ColourMap';
import { patternOf, recoloured, type Colouring } from './colouring';

interface ColoursCardProps {
  design: Colouring;
  basis: PieceBasis;
  notices: readonly MapNotice[];
  nameOf: (colour: number) => string;
  error: string | undefined;
  change: (by: Partial<Colouring>) => void;
}

const SIDES = [
  { value: 'right', title: 'To the right' },
  { value: 'left', title: 'To the left' },
] as const;

/** Which balloons it is made of, and how their colours run. */
export function ColoursCard({ design, basis, notices, nameOf, error, change }: ColoursCardProps) {
  const { colours, pattern } = design;
  const { kind, order, to, every } = pattern;
  const everyWords = EVERY_WORDS[kind];
  const put = (at: number, part: Colouring['colours'][number]) =>
    change({ colours: colours.map((each, i) => (i === at ? part : each)) });
  return (
    <Card title="Colours">
      <View className="gap-4">
        {colours.map((part, i) => (
          <Removable
            key={i}
            label={`Take colour ${i + 1} out`}
            onRemove={
              colours.length > 1
                ? () => change(recoloured(design, { colours: colours.filter((_, at) => at !== i) }))
                : null
            }
          >
            <PartPick label={`Colour ${i + 1}`} part={part} basis={basis} onChange={(chosen) => put(i, chosen)} />
          </Removable>
        ))}
        {colours.length < MOST_COLOURS ? (
          <Button
            title="Another colour"
            icon={Plus}
            onPress={() => change(recoloured(design, { colours: [...colours, colours.at(-1)!] }))}
          />
        ) : null}
        <Labelled label="Pattern">
          <PickChips
            label="Pattern"
            options={PATTERN_KINDS.map((value) => ({ value, title: PATTERN_WORDS[value] }))}
            value={kind}
            onChange={(next) => change({ pattern: patternOf(design, next) })}
          />
        </Labelled>
        {kind === 'spiral' || kind === 'zigzag' ? (
          <Segmented
            label="It climbs"
            options={SIDES}
            value={to}
            onChange={(side) => change({ pattern: { ...pattern, to: side } })}
          />
        ) : null}
        {everyWords ? (
          <Stepper
            label={everyWords}
            value={every}
            shown={String(every)}
            step={1}
            least={1}
            most={40}
            onChange={(next) => change({ pattern: { ...pattern, every: next } })}
          />
        ) : null}
        {colours.length > 1 ? (
          <Labelled label={isAround(kind) ? 'Around the ring: tap to change' : 'From the foot up: tap to change'}>
            <View className="flex-row flex-wrap gap-1">
              {order.map((colour, i) => (
                <Pressable
                  key={i}
                  role="button"
                  aria-label={`Place ${i + 1}: ${nameOf(colour)}; change it`}
                  onPress={() =>
                    change({
                      pattern: {
                        ...pattern,
                        order: order.map((each, at) => (at === i ? (each + 1) % colours.length : each)),
                      },
                    })
                  }
                  className="min-h-[48px] min-w-[48px] items-center justify-center rounded-card border border-line active:bg-sunk"
                >
                  <Swatch hex={colours[colour]?.colourHex ?? '#000000'} size={32} />
                </Pressable>
              ))}
            </View>
          </Labelled>
        ) : null}
        {error ? (
          <Words look="error" role="alert">
            {error}
          </Words>
        ) : null}
        {notices.map((notice) => (
          <Words key={notice.code} look="quiet">
            {mapNoticeText(notice)}
          </Words>
        ))}
      </View>
    </Card>
  );
}
