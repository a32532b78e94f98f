import { lengthsOf, type Lengths } from '@/views/lengths';

import { useStudio } from './records';

/** How to write lengths; inches in eighths until the studio's settings have come. */
export function useLengths(): Lengths {
  return lengthsOf(useStudio().data);
}
