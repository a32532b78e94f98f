import { useEffect, useState } from 'react';

import { useEvents, useModels, usePieces, usePumps, useShelf, useSizers, useStudies, useStudio } from '@/data/records';
import type { Search } from '@/wording/search';

/** The search over everything, made anew as records change; undefined until it is made, of code that comes for it. */
export function useSearch(): Search | undefined {
  const names = useModels().data;
  // With what is worked out of them, once it is: a pair looks as it is seen.
  const models = useShelf().data ?? names;
  const sizers = useSizers().data;
  const pumps = usePumps().data;
  const studies = useStudies().data;
  const pieces = usePieces().data;
  const events = useEvents().data;
  const unit = useStudio().data?.unit;
  const [search, setSearch] = useState<Search>();
  useEffect(() => {
    if (!models || !sizers || !pumps || !studies || !pieces || !events || !unit) return undefined;
    let current = true;
    void import('@/wording/search')
      .then(({ searchOver }) => searchOver({ models, sizers, pumps, studies, pieces, events }, unit))
      .then((made) => current && setSearch(() => made));
    return () => {
      current = false;
    };
  }, [models, sizers, pumps, studies, pieces, events, unit]);
  return search;
}

/**
 * Makes the search for a page that wants it only once something is typed, and shows nothing. `keep` is a setter of
 * state.
 */
export function Searcher({ keep }: { keep: (made: () => Search) => void }) {
  const search = useSearch();
  useEffect(() => {
    if (search) keep(() => search);
  }, [search, keep]);
  return null;
}
