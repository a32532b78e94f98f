import type { StackRecord } from '@leggero/contract';
import type { Stack } from '@leggero/core/building';

/** The layers of a stack as they are measured once it stands: without the topper that sits on them. */
export function measuredLayers({ layers }: Pick<Stack, 'layers'>, topped: boolean): StackRecord['layers'] {
  return (topped ? layers.slice(0, -1) : layers).map(({ count, widthMm }) => ({ count, widthMm }));
}
