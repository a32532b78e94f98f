import { router, useLocalSearchParams, type Href } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View, type TextInput } from 'react-native';

import { useSearch } from '@/parts/useSearch';
import { HitRow } from '@/parts/HitRow';
import { Button } from '@/ui/Button';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { SearchField } from '@/ui/SearchField';
import { Empty, Loading } from '@/ui/States';
import { useArrows } from '@/ui/useArrows';
import { useKeys } from '@/ui/useKeys';
import { Words } from '@/ui/Words';
import type { Hit } from '@/wording/search';

const GROUPS: Record<Hit['kind'], string> = {
  tool: 'What you can do',
  balloon: 'Balloons',
  sizer: 'Gauges',
  pump: 'Gauges',
  study: 'Gauges',
  event: 'Events and pieces',
  piece: 'Events and pieces',
  page: 'Pages and tools',
};
/** Of one group, before more are asked for. */
const FEW = 6;
/** More than this nobody reads: a further word narrows it. */
const MANY = 60;
/** A pause in the typing, ms: the address then says what is sought. */
const PAUSE_MS = 300;
const HITS = 'hits';

/** One search over everything. What is sought stands in the address, so that the way back leads to it. */
export function SearchPage() {
  const { q = '' } = useLocalSearchParams<{ q?: string }>();
  const [sought, setSought] = useState(q);
  const search = useSearch();
  const field = useRef<TextInput>(null);
  const arrows = useArrows(HITS, field);
  useKeys({ '/': () => field.current?.focus(), ...arrows });
  useEffect(() => {
    if (sought === q) return undefined;
    const timer = setTimeout(() => router.setParams({ q: sought }), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [sought, q]);

  const typed = sought.trim() !== '';
  const hits = search?.(sought);
  const openFirst = () => {
    const first = typed ? hits?.[0] : undefined;
    if (!first) return;
    router.setParams({ q: sought });
    router.navigate(first.href as Href);
  };
  return (
    <Page title="Search" subtitle="Balloons, gauges, pieces, pages and tools">
      <View className="w-full max-w-[980px] gap-3">
        <SearchField
          ref={field}
          autoFocus
          label="Search everything"
          placeholder="A name, a width, what you want to do"
          value={sought}
          onChangeText={setSought}
          onSubmitEditing={openFirst}
          onDown={arrows.ArrowDown}
        />
        <View id={HITS} role="region" aria-label="Found" className="gap-3">
          {!hits ? (
            <Loading what="the search" />
          ) : hits.length === 0 ? (
            <Empty sentence={`Nothing here is called “${sought.trim()}”. Try one word of it, or what it is for.`} />
          ) : (
            groupsOf(hits).map(([title, group]) => <Group key={title} title={title} hits={group} whole={!typed} />)
          )}
        </View>
      </View>
    </Page>
  );
}

/** By group, in the order of the best of each. */
function groupsOf(hits: readonly Hit[]): [string, Hit[]][] {
  const groups = new Map<string, Hit[]>();
  for (const hit of hits) {
    const title = GROUPS[hit.kind];
    const group = groups.get(title);
    if (group) group.push(hit);
    else groups.set(title, [hit]);
  }
  return [...groups];
}

function Group({ title, hits, whole }: { title: string; hits: readonly Hit[]; whole: boolean }) {
  const wide = useWide();
  const [asked, setAsked] = useState(false);
  const open = asked || whole;
  const shown = hits.slice(0, open || hits.length === FEW + 1 ? MANY : FEW);
  return (
    <View className="gap-2">
      <Words look="heading" level={2}>
        {title}
      </Words>
      <View className={wide ? 'flex-row flex-wrap gap-2' : 'gap-2'}>
        {shown.map((hit) => (
          <View key={hit.id} className={wide ? 'w-[49%]' : ''}>
            <HitRow hit={hit} />
          </View>
        ))}
      </View>
      {!open && shown.length < hits.length ? (
        <Button title={`Show all ${hits.length}`} onPress={() => setAsked(true)} />
      ) : null}
      {open && hits.length > MANY ? (
        <Words look="quiet">{`${hits.length - MANY} more: another word narrows them down.`}</Words>
      ) : null}
    </View>
  );
}
