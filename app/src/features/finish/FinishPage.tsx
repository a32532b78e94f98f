import { heightAtMm, sphereVolumeL } from '@leggero/core';
import { DECOR_NOTES, printShift, shineAdvice, splitInTwo } from '@leggero/core/finish';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { firstTarget, modelName } from '@/views/modelView';
import type { ShownModel } from '@/parts/WithModel';
import { Card } from '@/ui/Card';
import { Cautions } from '@/parts/Cautions';
import { useWide } from '@/ui/layout';
import { LengthField } from '@/parts/LengthField';
import { Page } from '@/ui/Page';
import { Steps } from '@/ui/Steps';
import { Stepper } from '@/ui/Stepper';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import {
  DECOR_NOTE_WORDS,
  DECOR_TITLES,
  printText,
  shineText,
  SPLIT_PROBLEMS,
  splitText,
  STRETCH_WORDS,
} from '@/wording/finish';
import { FINISH_WORDS, percent } from '@/wording/trade';

import { StretchPicture, TwoPicture } from './StretchPicture';

/**
 * What stretch does to a balloon's colour and shine, how to keep a small mirror shining, and what is on it or in it.
 */
export function FinishPage({ model, view }: ShownModel) {
  const trade = useTrade();
  const [params, ask] = useAddress<'width' | 'share'>();
  const lengths = useLengths();
  const wide = useWide();
  const { text } = lengths;
  const { nominalMm, finish, decor } = model;
  const targetMm = firstTarget(view)?.target.widthMm ?? 0.85 * nominalMm;
  const widthMm = params.width === undefined ? 0.55 * nominalMm : Number(params.width);
  const share = Number(params.share ?? 0.5);
  const split = splitInTwo({ volumeL: sphereVolumeL({ widthMm }), share });
  const shift = printShift({
    widthMm: targetMm,
    heightMm: heightAtMm({ fit: view.curve, widthMm: targetMm }),
    trade,
  });
  return (
    <Page title={modelName(model)} subtitle={`${FINISH_WORDS[finish]} finish`} back={`/shelf/${model.id}`}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <Card title="What stretch does">
            <StretchPicture model={model} />
            <Words className="mt-2">{STRETCH_WORDS[finish]}</Words>
          </Card>
          {decor === 'none' ? null : (
            <Card title={DECOR_TITLES[decor]}>
              <View className="gap-2">
                {decor === 'print' ? <Words look="strong">{printText(shift, text)}</Words> : null}
                <Steps steps={DECOR_NOTES[decor].map((note) => DECOR_NOTE_WORDS[note])} />
              </View>
            </Card>
          )}
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <Card title={finish === 'mirror' ? 'Smaller than it shines' : 'Two bubbles from one'}>
            <View className="gap-3">
              <LengthField
                label="Width wanted"
                value={widthMm || null}
                lengths={lengths}
                error={split.ok ? undefined : SPLIT_PROBLEMS[split.problem.code]}
                onChange={(mm) => ask({ width: String(mm ?? 0) })}
              />
              {finish === 'mirror' && split.ok ? (
                <Words look="strong" role="status">
                  {shineText(shineAdvice({ nominalMm, widthMm, trade }), text)}
                </Words>
              ) : null}
              {split.ok ? (
                <>
                  <Words>Or divide the balloon by a twist:</Words>
                  <TwoPicture model={model} two={split.value} label={splitText(split.value, text)} />
                  <Words role="status">{splitText(split.value, text)}</Words>
                </>
              ) : null}
              <Stepper
                label="of the air in the first"
                value={Math.round(100 * share)}
                shown={percent(share)}
                step={5}
                least={5}
                most={95}
                onChange={(to) => ask({ share: String(to / 100) })}
              />
            </View>
          </Card>
          <Cautions names={['burst', 'latex', 'choking']} />
        </View>
      </View>
    </Page>
  );
}
