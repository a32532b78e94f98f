import { useEffect, useState } from 'react';

import type { Search } from '@/wording/search';

import { useModels, usePieces, usePumps, useShelf, useSizers, useStudies, useStudio } from '@/data/records';

/**
 * The search over everything, made anew as records change; undefined until it is wanted and made. Its code comes when
 * it is first wanted.
 */
export function useSearch(wanted: boolean): Search | undefined {
  const names = useModels().data;
  // With what is worked out of them, once it is: a pair looks as it is seen.
  const models = useShelf().data ?? names;
  const sizers = useSizers().data;
  const pumps = usePumps().data;
  const studies = useStudies().data;
  const pieces = usePieces().data;
  const unit = useStudio().data?.unit;
  const [search, setSearch] = useState<Search>();
  useEffect(() => {
    if (!wanted || !models || !sizers || !pumps || !studies || !pieces || !unit) return undefined;
    let current = true;
    void import('@/wording/search')
      .then(({ searchOver }) => searchOver({ models, sizers, pumps, studies, pieces }, unit))
      .then((made) => current && setSearch(() => made));
    return () => {
      current = false;
    };
  }, [wanted, models, sizers, pumps, studies, pieces, unit]);
  return search;
}
