import { Link, router } from 'expo-router';
import ArrowLeftRight from 'lucide-react-native/icons/arrow-left-right';
import { Pressable, View } from 'react-native';

import { IconButton } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import type { SupplyLine } from '@/views/supply';
import { moneyText } from '@/wording/money';
import { workProblemText } from '@/wording/recipe';
import { boughtText, neededText, thereText } from '@/wording/supply';

import { BatchDots } from './BatchDots';

/** What an event needs of one balloon: a tap opens its stock, or chooses a balloon for a colour that has none. */
export function SupplyRow({ line, currency, swapHref }: { line: SupplyLine; currency: string; swapHref: string }) {
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
        <Words look="quiet">{model ? thereText(line) : 'Tap to choose one for it, in every piece.'}</Words>
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
  return (
    <View role="listitem" className="flex-row items-center border-t border-line">
      <Link href={model ? `/shelf/${model.id}/stock` : swapHref} asChild>
        <Pressable role="link" className="min-h-[56px] flex-1 flex-row items-center gap-3 py-2 active:bg-sunk">
          {row}
        </Pressable>
      </Link>
      <IconButton
        label={`Swap ${model ? balloonName(model) : 'this colour'}`}
        icon={ArrowLeftRight}
        onPress={() => router.navigate(swapHref)}
      />
    </View>
  );
}

/** Larger ones would leave no room for words. */
const MOST_DRAWN_MM = 320;
