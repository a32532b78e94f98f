import { colorScheme, useColorScheme } from 'nativewind';
import { createContext, createElement, use, type ReactNode } from 'react';
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

export type Theme = 'day' | 'evening';
const PALETTES: Record<Theme, Palette> = { day: DAY, evening: EVENING };
const ThemeContext = createContext<Theme | null>(null);

/** Drawings inside take the colours of one theme, whatever the page's own is. */
export function PaletteProvider({ theme, children }: { theme: Theme; children: ReactNode }) {
  return createElement(ThemeContext, { value: theme }, children);
}

/** The colours drawings use under the theme in force. */
export function usePalette(): Palette {
  const { colorScheme: scheme } = useColorScheme();
  return PALETTES[use(ThemeContext) ?? (scheme === 'dark' ? 'evening' : 'day')];
}
