import { Link, type Href } from 'expo-router';
import { Pressable, View } from 'react-native';

import { chosenBox } from '@/ui/chosen';
import { Words } from '@/ui/Words';

interface NumberRowProps {
  href: Href;
  title: string;
  about: string;
  /** Where it is from, and what is plausible. */
  from: string;
  /** The number, or how many it is. */
  figure: string;
  /** As the table has it, where the studio has it otherwise. */
  table: string | null;
  /** What it moves, in words; null until that is known. */
  moves: string | null;
  /** Whether the studio has it otherwise than the table. */
  own: boolean;
  chosen: boolean;
}

/** One constant of the trade in the list: what it decides, and what it is here. */
export function NumberRow({ href, title, about, from, moves, figure, table, own, chosen }: NumberRowProps) {
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        aria-current={chosen ? 'page' : undefined}
        className={
          'min-h-[60px] flex-row items-center gap-3 rounded-card border px-3 py-2 active:bg-sunk ' + chosenBox(chosen)
        }
      >
        <View className="flex-1">
          <Words look="strong">{title}</Words>
          <Words look="quiet" numberOfLines={2}>
            {about}
          </Words>
          <Words look="quiet">{from}</Words>
          {moves ? (
            <Words look="label" className="text-pine">
              {moves}
            </Words>
          ) : null}
        </View>
        <View className="max-w-[112px] items-end">
          <Words look="figure" className="text-right text-[18px] leading-6">
            {figure}
          </Words>
          {own ? (
            <Words look="label" className="text-pine">
              yours
            </Words>
          ) : null}
          {table ? <Words look="quiet">{`table: ${table}`}</Words> : null}
        </View>
      </Pressable>
    </Link>
  );
}
