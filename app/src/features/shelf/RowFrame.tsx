import { Link } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { chosenBox } from '@/ui/chosen';
import { Words } from '@/ui/Words';

interface RowFrameProps {
  modelId: string;
  /** Its page stands beside the list. */
  chosen: boolean;
  picture: ReactNode;
  name: string;
  lines: readonly string[];
  figure?: string | undefined;
}

/** One row of the shelf: a small picture, the name, what is known, and the figure asked for most. */
export function RowFrame({ modelId, chosen, picture, name, lines, figure }: RowFrameProps) {
  return (
    <Link href={`/shelf/${modelId}`} asChild>
      <Pressable
        role="link"
        aria-current={chosen ? 'page' : undefined}
        className={'flex-row items-center gap-3 rounded-card border p-2.5 active:bg-sunk ' + chosenBox(chosen)}
      >
        {picture}
        <View className="flex-1">
          <Words look="strong" numberOfLines={2} className="text-[15px] leading-5">
            {name}
          </Words>
          {lines.map((line) => (
            <Words key={line} look="quiet" numberOfLines={1}>
              {line}
            </Words>
          ))}
        </View>
        {figure ? (
          <Words look="figure" className="text-[24px] leading-8">
            {figure}
          </Words>
        ) : null}
      </Pressable>
    </Link>
  );
}
