import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Words } from './Words';

interface CardProps {
  title?: string;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
}

/** A surface with a hairline, and a heading where it has one. */
export function Card({ title, aside, children, className = '' }: CardProps) {
  return (
    <View className={`rounded-card border border-line bg-surface p-4 ${className}`}>
      {title ? (
        <View className="mb-2 flex-row items-center justify-between gap-2">
          <Words look="heading" level={2}>
            {title}
          </Words>
          {aside}
        </View>
      ) : null}
      {children}
    </View>
  );
}
