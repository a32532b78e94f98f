import { MOST_WALL_THINGS, WALL_THINGS, type WallThing } from '@leggero/contract';
import { MM_PER_INCH, PATH_POINTS } from '@leggero/core';
import type { HungGarland, PathPoint, Place } from '@leggero/core/garland';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { View } from 'react-native';

import { MmField } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { TiedBalloon } from '@/parts/piece/tied';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { PickChips } from '@/ui/PickChips';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { coveredText, offWallText, THING_WORDS } from '@/wording/garland';

import { wallFor, withAnother } from './wall';
import { WallPicture } from './WallPicture';

interface WallCardProps {
  design: GarlandDesign;
  /** Where it runs; nothing where that cannot be. */
  points: readonly Place[];
  balloons: readonly TiedBalloon[];
  /** On its hooks; null without any. */
  hung: HungGarland | null;
  basis: PieceBasis;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<GarlandDesign>) => void;
}

const inches = (count: number) => count * MM_PER_INCH;

/** What is put on a wall first: a door stands, a sign hangs; sizes as they mostly are (common practice). */
const FIRST_THINGS: Record<WallThing['kind'], Omit<WallThing, 'kind' | 'leftMm'>> = {
  door: { lowMm: 0, wideMm: inches(36), highMm: inches(80) },
  window: { lowMm: inches(36), wideMm: inches(48), highMm: inches(48) },
  sofa: { lowMm: 0, wideMm: inches(84), highMm: inches(34) },
  table: { lowMm: 0, wideMm: inches(72), highMm: inches(30) },
  sign: { lowMm: inches(54), wideMm: inches(36), highMm: inches(18) },
};

/** The wall that a garland hangs before, to scale, with what stands there; the places of a drawn path are dragged on it. */
export function WallCard({ design, points, balloons, hung, basis, wrong, change }: WallCardProps) {
  const { wall, path } = design;
  const [chosen, setChosen] = useState<number | null>(null);
  const { text } = basis.lengths;
  const put = (by: Partial<NonNullable<GarlandDesign['wall']>>) => wall && change({ wall: { ...wall, ...by } });
  const putThing = (at: number, by: Partial<WallThing>) =>
    wall && put({ things: wall.things.map((thing, i) => (i === at ? { ...thing, ...by } : thing)) });
  const drawn = path.kind === 'own' ? (path.points ?? []) : [];
  const putPoints = (next: PathPoint[]) => change({ path: { ...path, points: next } });
  const at = chosen !== null && chosen < drawn.length ? chosen : null;
  const shown = wall ?? wallFor(points);
  return (
    <Card title="On its wall">
      <View className="gap-3">
        {path.kind === 'own' && wall ? null : (
          <SwitchRow
            label="Its wall to scale"
            hint="With doors, windows and what stands there"
            value={wall !== null}
            onChange={(on) => change({ wall: on ? { ...wallFor(points), things: [] } : null })}
          />
        )}
        {wall || path.kind === 'own' ? (
          <WallPicture
            {...{ points, balloons, drawn, hung }}
            wall={{ things: [], ...shown }}
            chosen={at}
            onChoose={setChosen}
            onMove={(i, to) => putPoints(drawn.map((each, j) => (j === i ? to : each)))}
          />
        ) : null}
        {path.kind === 'own' ? (
          <>
            {wrong('path.points') ? (
              <Words look="error" role="alert">
                {wrong('path.points')}
              </Words>
            ) : null}
            <Words look="quiet">Drag its places, or choose one and type where it is.</Words>
            <PickChips
              label="Which place"
              options={drawn.map((_, i) => ({ value: String(i), title: String(i + 1), heard: `Place ${i + 1}` }))}
              value={at === null ? null : String(at)}
              onChange={(value) => setChosen(Number(value))}
            />
            {at === null ? null : (
              <View className="flex-row flex-wrap gap-3">
                <MmField
                  label={`Place ${at + 1}: from the left`}
                  value={drawn[at]!.xMm + shown.wideMm / 2}
                  basis={basis}
                  onChange={(mm) =>
                    putPoints(drawn.map((each, i) => (i === at ? { ...each, xMm: mm - shown.wideMm / 2 } : each)))
                  }
                />
                <MmField
                  label={`Place ${at + 1}: above the floor`}
                  value={drawn[at]!.zMm}
                  basis={basis}
                  onChange={(mm) => putPoints(drawn.map((each, i) => (i === at ? { ...each, zMm: mm } : each)))}
                />
              </View>
            )}
            <View className="flex-row flex-wrap gap-2">
              {drawn.length < PATH_POINTS.most ? (
                <Button title="Another place" icon={Plus} onPress={() => putPoints(withAnother(drawn))} />
              ) : null}
              {drawn.length > PATH_POINTS.least ? (
                <Button
                  title={at === null ? 'One place less' : `Take place ${at + 1} out`}
                  icon={Minus}
                  onPress={() => putPoints(drawn.filter((_, i) => i !== (at ?? drawn.length - 1)))}
                />
              ) : null}
            </View>
          </>
        ) : null}
        {wall ? (
          <>
            <View className="flex-row flex-wrap gap-3">
              <MmField label="Wall, width" value={wall.wideMm} basis={basis} onChange={(wideMm) => put({ wideMm })} />
              <MmField label="Wall, height" value={wall.highMm} basis={basis} onChange={(highMm) => put({ highMm })} />
            </View>
            {[offWallText(points, wall, text), coveredText(balloons, wall)].map((said) =>
              said ? (
                <Words key={said} role="status">
                  {said}
                </Words>
              ) : null,
            )}
            {wall.things.map((thing, i) => (
              <View key={i} className="gap-2">
                <PickChips
                  label={`What stands there, ${i + 1}`}
                  options={WALL_THINGS.map((value) => ({ value, title: THING_WORDS[value] }))}
                  value={thing.kind}
                  onChange={(kind) => putThing(i, { kind })}
                />
                <View className="flex-row flex-wrap gap-3">
                  {(
                    [
                      ['From the left', 'leftMm'],
                      ['Above the floor', 'lowMm'],
                      ['Width', 'wideMm'],
                      ['Height', 'highMm'],
                    ] as const
                  ).map(([label, key]) => (
                    <MmField
                      key={key}
                      label={`${label} of ${i + 1}`}
                      value={thing[key]}
                      basis={basis}
                      onChange={(mm) => putThing(i, { [key]: mm })}
                    />
                  ))}
                </View>
                <Button
                  title={`Take ${THING_WORDS[thing.kind].toLowerCase()} ${i + 1} away`}
                  onPress={() => put({ things: wall.things.filter((_, j) => j !== i) })}
                />
              </View>
            ))}
            {wall.things.length < MOST_WALL_THINGS ? (
              <View className="flex-row flex-wrap gap-2">
                {WALL_THINGS.map((kind) => (
                  <Button
                    key={kind}
                    title={THING_WORDS[kind]}
                    icon={Plus}
                    onPress={() => {
                      const first = {
                        kind,
                        leftMm: wall.wideMm / 2 - FIRST_THINGS[kind].wideMm / 2,
                        ...FIRST_THINGS[kind],
                      };
                      put({ things: [...wall.things, first] });
                    }}
                  />
                ))}
              </View>
            ) : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}
