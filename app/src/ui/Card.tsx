import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Words } from './Words';

interface CardProps {
  title?: string;
  children: ReactNode;
  className?: string;
}

/** A surface with a hairline, and a heading where it has one. */
export function Card({ title, children, className = '' }: CardProps) {
  return (
    <View className={`rounded-card border border-line bg-surface p-4 ${className}`}>
      {title ? (
        <Words look="heading" level={2} className="mb-2">
          {title}
        </Words>
      ) : null}
      {children}
    </View>
  );
}
