import { MOST_ACCENTS, MOST_COLOURS, MOST_IN_ROW } from '@leggero/contract';
import { COLOUR_WAYS } from '@leggero/core';
import Plus from 'lucide-react-native/icons/plus';
import { View } from 'react-native';

import { CountField, PartPick, Removable } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { PickChips } from '@/ui/PickChips';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { COLOUR_WAY_WORDS, missingText, printsText, type MissingSize } from '@/wording/garland';

interface ColourCardProps {
  design: GarlandDesign;
  basis: PieceBasis;
  /** Pairs of prints that could not be kept apart. */
  prints: number;
  /** Sizes that the shelf has not in a colour that it has. */
  missing: readonly MissingSize[];
  wrong: (field: string) => string | undefined;
  change: (by: Partial<GarlandDesign>) => void;
}

type Colours = NonNullable<GarlandDesign['colours']>;

const MOST_SHARE = 100;
/** A few mirror balloons catch the light (from memory). */
const FIRST_ACCENTS = 6;

/** Colours that go through a whole garland in place of those of its clusters: in blocks, fading, or scattered. */
export function ColourCard({ design, basis, prints, missing, wrong, change }: ColourCardProps) {
  const { colours, kinds, strip } = design;
  const put = (by: Partial<Colours>) => colours && change({ colours: { ...colours, ...by } });
  const putOne = (at: number, by: Partial<Colours['list'][number]>) =>
    colours && put({ list: colours.list.map((each, i) => (i === at ? { ...each, ...by } : each)) });
  const notice = printsText(prints);
  const bad = colours?.list.map((_, i) => wrong(`colours.${i}.share`)).find((each) => each !== undefined);
  return (
    <Card title="Colours through it">
      <View className="gap-3">
        <SwitchRow
          label="Colours of its own"
          hint={colours ? 'In place of those of its clusters' : 'Each cluster has those it is made of'}
          value={colours !== null}
          onChange={(on) => change({ colours: on ? firstColours(kinds) : null })}
        />
        {colours ? (
          <>
            <PickChips
              label="How colours follow each other"
              options={COLOUR_WAYS.map((value) => ({ value, title: COLOUR_WAY_WORDS[value] }))}
              value={colours.way}
              onChange={(way) => put({ way })}
            />
            {colours.way === 'blocks' ? (
              <CountField
                label={strip ? 'Balloons of a block' : 'Clusters of a block'}
                of={strip ? 'balloons' : 'clusters'}
                most={MOST_IN_ROW}
                value={colours.block}
                onChange={(block) => put({ block })}
              />
            ) : null}
            {colours.list.map((colour, i) => (
              <View key={i} className="gap-2">
                <Removable
                  label={`Take colour ${i + 1} out`}
                  onRemove={
                    colours.list.length > 1 ? () => put({ list: colours.list.filter((_, at) => at !== i) }) : null
                  }
                >
                  <PartPick
                    label={`Colour ${i + 1}`}
                    part={colour}
                    basis={basis}
                    onChange={(part) => putOne(i, part)}
                  />
                </Removable>
                <View className="flex-row items-end gap-3">
                  {colour.accents ? (
                    <CountField
                      label={`Balloons of colour ${i + 1}`}
                      of="balloons"
                      most={MOST_ACCENTS}
                      value={colour.accents}
                      onChange={(accents) => putOne(i, { accents })}
                    />
                  ) : (
                    <CountField
                      label={`Parts of colour ${i + 1}`}
                      of="parts"
                      least={0}
                      most={MOST_SHARE}
                      value={colour.share}
                      onChange={(share) => putOne(i, { share })}
                    />
                  )}
                  <View className="min-w-[130px] flex-1">
                    <SwitchRow
                      label={`Accents ${i + 1}`}
                      value={!!colour.accents}
                      onChange={(on) => putOne(i, { accents: on ? FIRST_ACCENTS : null })}
                    />
                  </View>
                  {colours.way === 'scatter' ? (
                    <View className="min-w-[130px] flex-1">
                      <SwitchRow
                        label={`Print ${i + 1}`}
                        value={colour.print}
                        onChange={(print) => putOne(i, { print })}
                      />
                    </View>
                  ) : null}
                </View>
              </View>
            ))}
            {colours.list.length < MOST_COLOURS ? (
              <Button
                title="Another colour"
                icon={Plus}
                onPress={() =>
                  put({ list: [...colours.list, { ...colours.list.at(-1)!, share: 1, print: false, accents: null }] })
                }
              />
            ) : null}
            {bad ? (
              <Words look="error" role="alert">
                {bad}
              </Words>
            ) : null}
            {missing.length > 0 ? <Words role="status">{missingText(missing)}</Words> : null}
            {notice ? <Words role="status">{notice}</Words> : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}

/** The colours that its clusters have, each once, as much of each as of the others. */
function firstColours(kinds: GarlandDesign['kinds']): Colours {
  const seen = new Set<string>();
  const list = kinds
    .flatMap(({ balloons }) => balloons)
    .flatMap(({ modelId, colourHex, finish }) => {
      if (seen.has(colourHex)) return [];
      seen.add(colourHex);
      return [{ modelId, colourHex, finish, share: 1, print: false }];
    });
  return { way: 'scatter', block: 2, list: list.slice(0, MOST_COLOURS) };
}
