import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** What of a station is heard on this device; all of it off until someone wants it. */
interface StationSound {
  /** Strokes and seconds are counted by a beat. */
  beat: boolean;
  /** From one stroke to the next. */
  everyS: number;
  /** What to do is said. */
  says: boolean;
  /** What is called out counts as a tap. */
  hears: boolean;
  set(by: Partial<Omit<StationSound, 'set'>>): void;
}

export const useStationSound = create<StationSound>()(
  persist(
    (set) => ({
      ...{ beat: false, everyS: 1, says: false, hears: false },
      set: (by) => set(by),
    }),
    { name: 'leggero-station-sound', storage: createJSONStorage(() => localStorage) },
  ),
);
