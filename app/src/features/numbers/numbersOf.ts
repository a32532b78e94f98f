import { ADJUSTABLE, type Adjustable } from '@leggero/core/constants';

const NUMBERS_OF = new Map<string, Adjustable[]>();
for (const each of ADJUSTABLE.values()) NUMBERS_OF.set(each.constant, [...(NUMBERS_OF.get(each.constant) ?? []), each]);

/** The numbers of a constant; none for a name that is none. */
export function numbersOf(constant: string): readonly Adjustable[] {
  return NUMBERS_OF.get(constant) ?? [];
}
