import type { SizerRecord } from '@leggero/contract';
import { DOSE_SCALES } from '@leggero/core';
import { Link, router, usePathname, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { usePumps, useSizers } from '@/data/records';
import { chosenBox } from '@/ui/chosen';
import { Button } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty, Failed, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { GAUGE_TOOLS, SIZER_TOOLS } from '@/wording/gaugeTools';
import { counted, INFLATOR_WORDS } from '@/wording/trade';

import { HoleRow } from '@/parts/HoleRow';
import { SearchLink } from '@/parts/SearchLink';
import { WaysCard } from './WaysCard';

/** The tools a studio sizes and doses with. */
export function GaugeList() {
  const sizers = useSizers();
  const pumps = usePumps();
  const path = usePathname();
  if (!sizers.data || !pumps.data) {
    const error = sizers.error ?? pumps.error;
    return (
      <Page title="Gauges">
        {error ? (
          <Failed sentence="The gauges could not be read." onRetry={sizers.refetch} />
        ) : (
          <Loading what="the gauges" />
        )}
      </Page>
    );
  }
  return (
    <Page title="Gauges">
      <SearchLink />
      <Section title="Sizers" add="Add a sizer" href="/gauges/sizers/new">
        {sizers.data.length === 0 ? (
          <Empty sentence="Add the plate or box you size with, and targets name the hole to use." />
        ) : null}
        {sizers.data.map((sizer) => (
          <Row
            key={sizer.id}
            href={`/gauges/sizers/${sizer.id}`}
            path={path}
            name={sizer.keeper ? `${sizer.name} (${sizer.keeper})` : sizer.name}
            note={holesText(sizer)}
          >
            <HoleRow holes={sizer.holes} height={44} />
          </Row>
        ))}
      </Section>
      <ToolLink tool={SIZER_TOOLS.holes} />
      <ToolLink tool={SIZER_TOOLS.make} />
      {sizers.data.length > 1 ? <ToolLink tool={SIZER_TOOLS.compare} /> : null}
      <Section title="Pumps and inflators" add="Add a pump or inflator" href="/gauges/pumps/new">
        {pumps.data.length === 0 ? (
          <Empty sentence="Add the pump you fill with: doses are counted in its strokes or seconds." />
        ) : null}
        {pumps.data.map(({ id, name, kind, doseVolumeL }) => (
          <Row
            key={id}
            href={`/gauges/pumps/${id}`}
            path={path}
            name={name}
            note={
              doseVolumeL === null
                ? `${INFLATOR_WORDS[kind].means}, volume not known`
                : `${INFLATOR_WORDS[kind].means}, ${doseVolumeL.toFixed(2)} L a ${DOSE_SCALES[kind].unit}`
            }
          />
        ))}
      </Section>
      {GAUGE_TOOLS.map((tool) => (
        <ToolLink key={tool.href} tool={tool} />
      ))}
      <WaysCard />
    </Page>
  );
}

function ToolLink({ tool: { href, title, note } }: { tool: { href: Href; title: string; note: string } }) {
  return <RowLink href={href} title={title} note={note} />;
}

function holesText({ holes }: SizerRecord): string {
  const first = holes[0];
  const last = holes.at(-1);
  return first && last ? `${counted(holes.length, 'hole')}, ${first.label} to ${last.label}` : 'no holes yet';
}

function Section({ title, add, href, children }: { title: string; add: string; href: Href; children: ReactNode }) {
  return (
    <View className="gap-2">
      <Words look="heading" level={2}>
        {title}
      </Words>
      {children}
      <Button title={add} onPress={() => router.navigate(href)} />
    </View>
  );
}

interface RowProps {
  href: Href;
  path: string;
  name: string;
  note: string;
  children?: ReactNode;
}

function Row({ href, path, name, note, children }: RowProps) {
  const here = path === href;
  return (
    <Link href={href} asChild>
      <Pressable role="link" className={'min-h-[56px] gap-1 rounded-card border p-3 active:bg-sunk ' + chosenBox(here)}>
        <Words look="strong">{name}</Words>
        <Words look="quiet">{note}</Words>
        {children}
      </Pressable>
    </Link>
  );
}
