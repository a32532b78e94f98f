import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { Words } from '@/ui/Words';

interface DoorPageProps {
  title: string;
  /** What this page is for, in a sentence. */
  says: string;
  children: ReactNode;
}

/** A page before the app itself: who has to say who they are sees nothing else. */
export function DoorPage({ title, says, children }: DoorPageProps) {
  return (
    <View role="main" className="flex-1 bg-ground">
      <ScrollView contentContainerClassName="items-center px-4 py-10">
        <View className="w-full max-w-[420px] gap-5">
          <Words look="quiet">Leggero</Words>
          <View className="gap-2">
            <Words look="title" level={1}>
              {title}
            </Words>
            <Words>{says}</Words>
          </View>
          {children}
        </View>
      </ScrollView>
    </View>
  );
}
