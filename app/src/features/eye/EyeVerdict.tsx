import type { EyeCheckRecord, ShelfModel } from '@leggero/contract';
import type { EyeJudgement } from '@leggero/core/eye';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { useWide } from '@/ui/layout';
import { Words } from '@/ui/Words';
import { pairText } from '@/wording/batch';
import { biasText, comparisonText, eyeVerdict, spreadText, trendTexts, withinText, WORK_VERDICTS } from '@/wording/eye';
import { WORK_WORDS } from '@/wording/works';

import { EyeChart } from '@/parts/charts';
import type { EyePart, EyeView } from './viewEyeCheck';

interface EyeVerdictProps {
  check: EyeCheckRecord;
  view: EyeView;
  model: ShelfModel;
  nameOf: (id: string | null) => string;
}

/** What a session tells: the kinds of work the eye is enough for first, then by how much it is off and scatters. */
export function EyeVerdict({ check, view, model, nameOf }: EyeVerdictProps) {
  const wide = useWide();
  const { fine } = useLengths();
  const [first, second] = view.parts;
  return (
    <>
      <EyeChart check={check} model={model} />
      {view.comparison && first && second ? (
        <Card title={`${nameOf(first.personId)} and ${nameOf(second.personId)}`}>
          {comparisonText(view.comparison, [nameOf(first.personId), nameOf(second.personId)], fine).map((line) => (
            <Words key={line}>{line}</Words>
          ))}
        </Card>
      ) : null}
      {view.pairs ? (
        <Card title="Two at once">
          <Words>{pairText(view.pairs, fine)}</Words>
        </Card>
      ) : null}
      <View className={wide ? 'flex-row items-start gap-3' : 'gap-3'}>
        {view.parts.map((part) => (
          <Part key={part.personId} part={part} name={view.parts.length > 1 ? nameOf(part.personId) : null} />
        ))}
      </View>
    </>
  );
}

function Part({ part: { judgement }, name }: { part: EyePart; name: string | null }) {
  if (!judgement) {
    return (
      <Card className="flex-1">
        <Words>
          {`${name ? `${name}: one` : 'One'} balloon says nothing of a spread. Fill and measure two or ` +
            'more, twelve for a good answer.'}
        </Words>
      </Card>
    );
  }
  return (
    <Card {...(name ? { title: name } : {})} className="flex-1">
      <Judged judgement={judgement} />
    </Card>
  );
}

function Judged({ judgement }: { judgement: EyeJudgement }) {
  const { text, fine } = useLengths();
  return (
    <View className="gap-3">
      <Words look="strong" role="status">
        {eyeVerdict(judgement)}
      </Words>
      <View role="list">
        {judgement.work.map((each) => (
          <View
            key={each.work}
            role="listitem"
            className="min-h-[52px] flex-row items-center gap-3 border-b border-line py-1"
          >
            <View className="flex-1">
              <Words look="strong">{WORK_WORDS[each.work].title}</Words>
              <Words look="quiet">{withinText(each, text)}</Words>
            </View>
            <View>
              <Chip {...WORK_VERDICTS[each.verdict]} />
            </View>
          </View>
        ))}
      </View>
      <Words>{biasText(judgement, fine)}</Words>
      <Words>{spreadText(judgement, fine)}</Words>
      {trendTexts(judgement, fine).map((line) => (
        <Words key={line}>{line}</Words>
      ))}
      <Words look="quiet">
        Intervals hold 95 of 100 times, those of shares 90. Nine in ten within the tolerance count as enough.
      </Words>
    </View>
  );
}
