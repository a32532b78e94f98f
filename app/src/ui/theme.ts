import { colorScheme, useColorScheme } from 'nativewind';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

import { DAY, EVENING, type Palette } from './palette';

/** Light, Evening, or as the device has it. */
export type ThemeChoice = 'system' | 'light' | 'dark';

interface ThemeState {
  choice: ThemeChoice;
  choose(choice: ThemeChoice): void;
}

/** The theme this device was set to. */
export const useThemeChoice = create<ThemeState>()(
  persist(
    (set) => ({
      choice: 'system',
      choose: (choice) => set({ choice }),
    }),
    { name: 'leggero-theme', storage: createJSONStorage(() => localStorage) },
  ),
);

/** Puts the chosen theme on the page, now and when the choice, or the device's own theme, changes. */
export function followTheme(): () => void {
  const device = matchMedia('(prefers-color-scheme: dark)');
  // The page's classes know light and dark alone: the device's wish is put into one of them here.
  const follow = () => {
    const { choice } = useThemeChoice.getState();
    colorScheme.set(choice === 'system' ? (device.matches ? 'dark' : 'light') : choice);
  };
  follow();
  device.addEventListener('change', follow);
  const forget = useThemeChoice.subscribe(follow);
  return () => {
    device.removeEventListener('change', follow);
    forget();
  };
}

/** The colours drawings use under the theme in force. */
export function usePalette(): Palette {
  return useColorScheme().colorScheme === 'dark' ? EVENING : DAY;
}
