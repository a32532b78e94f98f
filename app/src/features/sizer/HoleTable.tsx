import { holeAt, type HoleRecord } from '@leggero/contract';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { IconButton } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Chip, type Tone } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { offText } from '@/wording/holeOff';
import { conditionText } from '@/wording/sizer';

/** A hole off by more than this shows in linking work's eighth of an inch, mm. */
const NOTABLE_MM = 1;

/** The holes of a sizer: what is written beside each, what it measures, and how far it is off. */
export function HoleTable({ holes, onDelete }: { holes: readonly HoleRecord[]; onDelete: (id: string) => void }) {
  const trade = useTrade();
  const { text, exact, fine } = useLengths();
  return (
    <Card title="Holes">
      <View role="list">
        {holes.map((hole) => {
          const now = holeAt(hole, { trade });
          const measured = now.origin === 'measured';
          const tone: Tone = !measured
            ? 'plain'
            : Math.abs(now.offMm) > NOTABLE_MM || now.ovalMm > NOTABLE_MM
              ? 'edge'
              : 'measured';
          return (
            <View
              key={hole.id}
              role="listitem"
              className="min-h-[56px] flex-row items-center gap-3 border-b border-line py-1"
            >
              <Words look="figure" className="w-[52px] text-[22px] leading-7">
                {hole.label}
              </Words>
              <View className="flex-1">
                <Words look="strong">
                  {measured ? `${text(now.widthMm)} · ${exact(now.widthMm)}` : text(now.widthMm)}
                </Words>
                <Words look="quiet">{[offText(now, fine), conditionText(now, fine)].filter(Boolean).join(', ')}</Words>
              </View>
              <View>
                <Chip tone={tone} word={!measured ? 'label' : tone === 'edge' ? 'off' : 'true'} />
              </View>
              <IconButton label={`Delete hole ${hole.label}`} icon={Trash} onPress={() => onDelete(hole.id)} />
            </View>
          );
        })}
      </View>
    </Card>
  );
}
