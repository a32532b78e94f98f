import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

interface SessionState {
  /** Cautions folded away, by name. */
  folded: readonly string[];
  fold(name: string): void;
  unfold(name: string): void;
}

/** What lasts as long as this tab: the next visit starts anew. */
export const useSessionState = create<SessionState>()(
  persist(
    (set) => ({
      folded: [],
      fold: (name) => set(({ folded }) => ({ folded: [...folded.filter((each) => each !== name), name] })),
      unfold: (name) => set(({ folded }) => ({ folded: folded.filter((each) => each !== name) })),
    }),
    { name: 'leggero-session', storage: createJSONStorage(() => sessionStorage) },
  ),
);
