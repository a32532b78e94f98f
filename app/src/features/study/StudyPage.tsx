import { studyCells, type StudyRecord } from '@leggero/contract';
import { sizingStudy } from '@leggero/core/eye';
import { router } from 'expo-router';
import Undo from 'lucide-react-native/icons/undo-2';

import { write } from '@/data/outbox';
import { useStudies } from '@/data/records';
import { IconButton } from '@/ui/Button';
import { DeleteButton } from '@/ui/DeleteButton';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import { cellText, STUDY_PROBLEMS } from '@/wording/study';

import { StudyEntry } from './StudyEntry';
import { StudyTable } from './StudyTable';
import { StudyVerdict } from './StudyVerdict';

const BACK = '/gauges/studies';

/** A study: the next width to take, the widths so far, and what they tell once all are there. */
export function StudyPage({ studyId }: { studyId: string }) {
  const { data } = useStudies();
  const study = data?.find(({ id }) => id === studyId);
  if (study) return <Shown study={study} />;
  return (
    <Page title={data ? 'No such study' : ' '} back={BACK}>
      {data ? (
        <Empty sentence="No study is known at this address. It may have been deleted." />
      ) : (
        <Loading what="the study" />
      )}
    </Page>
  );
}

function Shown({ study }: { study: StudyRecord }) {
  const { people, balloons, repeats, widths } = study;
  const result = sizingStudy(studyCells(study));
  const total = balloons * repeats * people.length;
  const last = [...widths].sort((a, b) => a.takenAt.localeCompare(b.takenAt)).at(-1);
  const undo = () => {
    if (last) write({ remove: 'studyWidth', id: last.id });
  };
  useKeys({ u: undo });
  const next = nextCell(study);
  const problem = result.ok ? null : result.problem;
  return (
    <Page
      title={study.subject}
      subtitle={`${widths.length} of ${total} widths${study.demo ? ' · demo data' : ''}`}
      back={BACK}
      aside={last ? <IconButton label="Undo the last width" icon={Undo} onPress={undo} /> : undefined}
    >
      {result.ok ? <StudyVerdict study={study} result={result.value} /> : null}
      {next ? <StudyEntry key={`${next.repeat} ${next.person} ${next.balloon}`} study={study} cell={next} /> : null}
      {problem ? (
        <Words look="quiet">
          {problem.code === 'missing-cell'
            ? 'The spread is split once every width is there. Missing next: ' +
              `${cellText(next ?? { balloon: 0, person: 0, repeat: 0 }, people)}.`
            : STUDY_PROBLEMS[problem.code]}
        </Words>
      ) : null}
      <StudyTable study={study} />
      <DeleteButton
        what="this study"
        consequence="Its widths go with it."
        onDelete={() => {
          write({ remove: 'study', id: study.id });
          router.replace(BACK);
        }}
      />
    </Page>
  );
}

/** Round by round, person by person: nobody measures a balloon twice in a row. */
function nextCell({ people, balloons, repeats, widths }: StudyRecord) {
  const taken = new Set(widths.map(({ balloon, person, repeat }) => `${balloon} ${person} ${repeat}`));
  for (let repeat = 0; repeat < repeats; repeat += 1)
    for (let person = 0; person < people.length; person += 1)
      for (let balloon = 0; balloon < balloons; balloon += 1)
        if (!taken.has(`${balloon} ${person} ${repeat}`)) return { balloon, person, repeat };
  return null;
}
