import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';

interface PictureProps {
  /** The same in words. */
  label: string;
  /** px; what it comes to may follow from the width. */
  height: number | ((width: number) => number);
  /** A surface with a hairline around it. */
  framed?: boolean;
  /** Draws it once its width is known, px. */
  children: (width: number, height: number) => ReactNode;
  /** What else its element is told, where keys move it. */
  root?: object;
  /** What lies over it and answers to hands. */
  over?: ((width: number, height: number) => ReactNode) | undefined;
  /** Words below, for the eye alone. */
  caption?: ReactNode;
}

/** A drawing as wide as its place: measured first, then drawn. */
export function Picture({ label, height, framed = true, children, root, over, caption }: PictureProps) {
  const [width, setWidth] = useState(0);
  const high = typeof height === 'number' ? height : height(width);
  return (
    <View
      {...root}
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      className={framed ? 'overflow-hidden rounded-card border border-line bg-surface' : ''}
      style={{ minHeight: high }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={high} aria-hidden>
          {children(width, high)}
        </Svg>
      )}
      {width === 0 ? null : over?.(width, high)}
      {caption ? <View aria-hidden>{caption}</View> : null}
    </View>
  );
}
