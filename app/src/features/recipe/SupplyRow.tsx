import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';

import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import type { SupplyLine } from '@/views/supply';
import { moneyText } from '@/wording/money';
import { workProblemText } from '@/wording/recipe';
import { boughtText, neededText, thereText } from '@/wording/supply';

import { BatchDots } from './BatchDots';

/** What an event needs of one balloon: a tap opens its stock. */
export function SupplyRow({ line, currency }: { line: SupplyLine; currency: string }) {
  const { model, balloon, spares, stock, bought, take } = line;
  const hex = model?.colourHex ?? balloon.split(' ')[0]!;
  const price = stock?.eachMinor == null ? null : moneyText(bought.balloons * stock.eachMinor, currency);
  const row = (
    <>
      <View className="w-11 items-center">
        <BatchDots
          dots={[{ key: balloon, widthMm: Math.min(MOST_DRAWN_MM, model?.nominalMm ?? MOST_DRAWN_MM), hex }]}
        />
      </View>
      <View className="flex-1">
        <Words look="strong">{model ? balloonName(model) : 'A colour without a balloon'}</Words>
        <Words look="quiet">{neededText(line)}</Words>
        <Words look="quiet">{model ? thereText(line) : 'Choose a balloon for it on the page of its piece.'}</Words>
        {model && bought.bags > 0 ? (
          <Words look="label">{[boughtText(line), price].filter(Boolean).join(' · ')}</Words>
        ) : null}
        {spares.ok ? null : <Words look="error">{workProblemText(spares.problem)}</Words>}
      </View>
      <Words look="figure" className="text-[22px] leading-7">
        {!model ? String(take) : bought.bags === 0 ? 'there' : String(bought.balloons)}
      </Words>
    </>
  );
  const look = 'min-h-[56px] flex-row items-center gap-3 border-t border-line py-2';
  return (
    <View role="listitem">
      {model ? (
        <Link href={`/shelf/${model.id}/stock`} asChild>
          <Pressable role="link" className={`${look} active:bg-sunk`}>
            {row}
          </Pressable>
        </Link>
      ) : (
        <View className={look}>{row}</View>
      )}
    </View>
  );
}

/** Larger ones would leave no room for words. */
const MOST_DRAWN_MM = 320;
