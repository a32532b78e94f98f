import { router } from 'expo-router';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { IconButton } from './Button';
import { Words } from './Words';

interface PageProps {
  title: string;
  subtitle?: string | undefined;
  /** Where the back button leads; none on a place's first page, and none where the list stands beside it. */
  back?: string | undefined;
  aside?: ReactNode;
  /** Stays in reach at the foot. */
  actions?: ReactNode;
  children: ReactNode;
  /** The children scroll by themselves: a long list that draws only what is seen. */
  ownScroll?: boolean;
}

/** A page: its title, what it shows, and the actions in the thumb's reach. */
export function Page({ title, subtitle, back, aside, actions, children, ownScroll }: PageProps) {
  return (
    <View role="main" className="flex-1 bg-ground">
      <View className="flex-row items-center gap-1 px-4 pb-2 pt-3">
        {back ? (
          <View className="-ml-3">
            <IconButton label="Back" icon={ChevronLeft} onPress={() => router.navigate(back)} />
          </View>
        ) : null}
        <View className="flex-1">
          <Words look="title" level={1} numberOfLines={2} className={back ? 'text-[22px] leading-7' : ''}>
            {title}
          </Words>
          {subtitle ? (
            <Words look="quiet" numberOfLines={1}>
              {subtitle}
            </Words>
          ) : null}
        </View>
        {aside}
      </View>
      {ownScroll ? (
        <View className="flex-1">{children}</View>
      ) : (
        <ScrollView className="flex-1" contentContainerClassName="gap-3 px-4 pb-6 pt-1.5">
          {children}
        </ScrollView>
      )}
      {actions ? (
        <View className="no-print flex-row gap-3 border-t border-line bg-ground px-4 py-3">{actions}</View>
      ) : null}
    </View>
  );
}
