import { PIECE_FORMS, type PieceForm, type PiecePart, type ShelfModel } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useKnowledge } from '@/data/knowledge';
import { write } from '@/data/outbox';
import { useStudio } from '@/data/records';
import { useTrade } from '@/data/trade';
import { chosenBox } from '@/ui/chosen';
import { Button } from '@/ui/Button';
import { Field, Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { FORM_WORDS } from '@/wording/pieces';

import { firstDesign, ROUND_IN } from './firstDesign';
import { PieceStill } from '@/parts/PieceStill';

const LOOSE: PiecePart = { modelId: null, colourHex: '#d2577e', finish: 'matte' };

/** What to draw up: a form and a name; its first design is one that works. */
export function NewPiecePage() {
  const trade = useTrade();
  const wide = useWide();
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const { form: asked, event: eventId } = useLocalSearchParams<{ form?: string; event?: string }>();
  const form = PIECE_FORMS.find((each) => each === asked) ?? 'chain';
  const [typed, setTyped] = useState<string | null>(null);
  const name = typed ?? FORM_WORDS[form].title;
  const wrong = name.trim() === '' || name.trim().length > 80;
  const [tried, setTried] = useState(false);
  if (!knowledge || !studio) {
    return (
      <Page title="Draw up a piece" back={wide ? undefined : '/builds'}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  const basis = (of: PieceForm) => firstBalloons(of, knowledge.models);
  const make = () => {
    setTried(true);
    if (wrong) return;
    const id = newId();
    const design = firstDesign(form, { ...basis(form), stepMm: studio.stepMm, trade });
    write({ put: 'piece', row: { id, name: name.trim(), design, eventId: eventId ?? null, createdAt: nowUtc() } });
    router.replace(`/builds/${id}`);
  };
  return (
    <Page
      title="Draw up a piece"
      back={wide ? undefined : '/builds'}
      actions={<Button title="Draw it up" look="primary" tall className="flex-1" onPress={make} />}
    >
      <View className={`gap-4 ${wide ? 'max-w-[640px]' : ''}`}>
        <Labelled label="Form">
          <View role="radiogroup" aria-label="Form" className="flex-row flex-wrap gap-2">
            {PIECE_FORMS.map((each) => (
              <FormTile
                key={each}
                form={each}
                balloons={basis(each)}
                stepMm={studio.stepMm}
                chosen={each === form}
                onPress={() => router.setParams({ form: each })}
              />
            ))}
          </View>
        </Labelled>
        <Field
          label="Name"
          hint="What the piece is called in this event."
          value={name}
          onChangeText={setTyped}
          error={tried && wrong ? 'A name of 1 to 80 characters.' : undefined}
        />
      </View>
    </Page>
  );
}

interface FormTileProps {
  form: PieceForm;
  balloons: FirstBalloons;
  stepMm: number;
  chosen: boolean;
  onPress: () => void;
}

function FormTile({ form, balloons, stepMm, chosen, onPress }: FormTileProps) {
  const trade = useTrade();
  const { title, note } = FORM_WORDS[form];
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={`${title}: ${note}`}
      onPress={onPress}
      className={'w-[31.5%] items-center gap-1 rounded-card border px-1 py-3 ' + chosenBox(chosen)}
    >
      <PieceStill id={`first ${form}`} design={firstDesign(form, { ...balloons, stepMm, trade })} size={64} />
      <Words look="strong" className={chosen ? 'text-pine' : ''}>
        {title}
      </Words>
      <Words look="quiet" className="min-h-[40px] text-center text-[13px] leading-[18px]">
        {note}
      </Words>
    </Pressable>
  );
}

interface FirstBalloons {
  part: PiecePart;
  other?: PiecePart | undefined;
  nominalMm?: number | undefined;
}

/** What a form is first drawn up of: the two round balloons of its size used most, else a linking balloon. */
function firstBalloons(form: PieceForm, models: readonly ShelfModel[]): FirstBalloons {
  const single = models.filter(({ outerId }) => outerId === null);
  if (form === 'taper' || form === 'hoop' || form === 'plinth') return { part: LOOSE };
  const inches = ROUND_IN[form];
  if (inches !== undefined) {
    const aboutMm = inches * MM_PER_INCH;
    const round = single.filter(({ kind, nominalMm }) => kind === 'round' && Math.abs(nominalMm - aboutMm) < 13);
    const [model, ...rest] = [...round].sort((a, b) => b.uses - a.uses);
    if (!model) return { part: LOOSE };
    const other =
      rest.find(({ colourHex, finish }) => colourHex !== model.colourHex && finish === model.finish) ?? rest[0];
    return { part: partOf(model), other: other && partOf(other), nominalMm: model.nominalMm };
  }
  const model = single.find(({ kind }) => kind === 'linking') ?? models[0];
  return model ? { part: partOf(model), nominalMm: model.nominalMm } : { part: LOOSE };
}

function partOf({ id, colourHex, finish }: ShelfModel): PiecePart {
  return { modelId: id, colourHex, finish };
}
