import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { viewModel } from '@/views/modelView';
import { useSizers, useStudio, useTiers } from '@/data/records';
import { PrintButtons } from '@/parts/paper/PrintButtons';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { counted } from '@/wording/trade';

import { makePdf } from './makePdf';
import { PaperSheet } from './PaperSheet';
import { sheetOf } from './sheetOf';

/** Target sheets as they are printed: of one balloon, or of the whole shelf. */
export function SheetPage() {
  const { model: modelId } = useLocalSearchParams<{ model?: string }>();
  const lengths = useLengths();
  const wide = useWide();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const knowledge = useKnowledge();
  const { unit } = lengths;
  const layOut = () => {
    if (!knowledge || !tiers || !studio || !sizers) return null;
    return knowledge.models
      .filter(({ id }) => modelId === undefined || id === modelId)
      .map((model) => {
        const view = viewModel({ model, knowledge, tiers, studio });
        return sheetOf({ model, view, sizers, lengths, daysStanding: studio.daysStanding, trade: knowledge.trade });
      });
  };
  const sheets = layOut();
  const back = modelId ? `/shelf/${modelId}` : wide ? undefined : '/shelf';
  if (!sheets || !studio) {
    return (
      <Page title="Target sheets" back={back}>
        <Loading what="the sheets" />
      </Page>
    );
  }
  return (
    <Page
      title="Target sheets"
      subtitle={counted(sheets.length, 'balloon')}
      back={back}
      actions={
        sheets.length > 0 ? (
          <PrintButtons
            name={`target sheet ${sheets.length === 1 ? sheets[0]!.title : studio.name}`}
            draw={() => makePdf({ sheets, studio: studio.name, paper: unit === 'cm' ? 'a4' : 'letter' })}
          />
        ) : undefined
      }
    >
      {sheets.length === 0 ? <Empty sentence="Put a balloon on the shelf, and its targets can be printed." /> : null}
      <View className="w-full max-w-[760px] gap-4">
        {sheets.map((sheet) => (
          <PaperSheet key={sheet.id} sheet={sheet} />
        ))}
      </View>
    </Page>
  );
}
