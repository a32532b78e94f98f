import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useConstants } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useWide } from '@/ui/layout';
import { useAddress } from '@/ui/useAddress';
import { Words } from '@/ui/Words';
import { GROUP_WORDS } from '@/wording/constants';

import { NumberDetail } from './NumberDetail';
import { NumbersList, type Shown } from './NumbersList';
import { numbersOf } from './numbersOf';

const TITLE = 'Numbers of the trade';

/** Every number the app works with, by what it decides; one of them beside the list, or on its own on a phone. */
export function NumbersPage({ constant }: { constant: string | null }) {
  const wide = useWide();
  const trade = useTrade();
  const rows = useConstants().data;
  const [params, ask] = useAddress<'of'>();
  if (!rows) {
    return (
      <Page title={TITLE} back="/studio">
        <Loading what="the studio’s numbers" />
      </Page>
    );
  }
  const [first, ...others] = constant === null ? [] : numbersOf(constant);
  const shown = shownBy(params.of, rows.length > 0) ?? first?.group ?? 'targets';
  const list = <NumbersList rows={rows} trade={trade} shown={shown} constant={constant} onShow={(of) => ask({ of })} />;
  const gone = constant !== null && !first && (
    <Empty sentence="There is no such number here. It may belong to a newer version of Leggero." />
  );
  if (!wide && first) {
    const frame = (about: ReactNode, actions: ReactNode) => (
      <Page
        title={first.words.title}
        subtitle={GROUP_WORDS[first.group].title}
        back={`/studio/numbers?of=${shown}`}
        actions={actions}
      >
        {about}
      </Page>
    );
    return <NumberDetail key={constant} numbers={[first, ...others]} rows={rows} frame={frame} />;
  }
  const beside = (about: ReactNode, actions: ReactNode) => (
    <>
      {about}
      <View className="flex-row gap-3">{actions}</View>
    </>
  );
  return (
    <Page title={TITLE} back="/studio">
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
        <View className={wide ? 'w-[420px] gap-3' : 'gap-3'}>
          <Words look="quiet">
            All that is worked out rests on these. Change one where your balloons, your pump or your hands are
            otherwise; everything follows at once, and the way back stays.
          </Words>
          {gone}
          {list}
        </View>
        {wide && first ? (
          <View className="flex-1 gap-3">
            <Words look="title" level={2}>
              {first.words.title}
            </Words>
            <NumberDetail key={constant} numbers={[first, ...others]} rows={rows} frame={beside} />
          </View>
        ) : null}
      </View>
    </Page>
  );
}

function shownBy(of: string | undefined, some: boolean): Shown | undefined {
  if (of === 'yours') return some ? of : undefined;
  return of !== undefined && of in GROUP_WORDS ? (of as Shown) : undefined;
}
