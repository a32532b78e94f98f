import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

import { Page } from '@/ui/Page';
import { Segmented } from '@/ui/Segmented';
import { PaletteProvider, type Theme } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { KIT } from './parts';

const THEMES = [
  { value: 'day', title: 'Day' },
  { value: 'evening', title: 'Evening' },
] as const;
const WIDTHS = [
  { value: 'phone', title: 'Phone' },
  { value: 'wide', title: 'Wide' },
  { value: 'both', title: 'Both' },
] as const;

/** Every part of the kit, by day and in the evening, as wide as a phone and as wide as there is room. For developers. */
export function KitPage() {
  const [width, setWidth] = useState<(typeof WIDTHS)[number]['value']>('both');
  return (
    <Page title="Kit" subtitle={`${KIT.length} parts`} back="/bench">
      <Segmented label="Width" options={WIDTHS} value={width} onChange={setWidth} />
      {THEMES.map(({ value, title }) => (
        <View key={value} className="gap-2">
          <Words look="title" level={2}>
            {title}
          </Words>
          <View className="flex-row flex-wrap items-start gap-4">
            {width === 'wide' ? null : (
              <Panel theme={value} label={`${title}, phone`} className="w-[358px]">
                <Parts />
              </Panel>
            )}
            {width === 'phone' ? null : (
              <Panel theme={value} label={`${title}, wide`} className="min-w-[358px] flex-1">
                <Parts />
              </Panel>
            )}
          </View>
        </View>
      ))}
    </Page>
  );
}

interface PanelProps {
  theme: Theme;
  label: string;
  className: string;
  children: ReactNode;
}

/** A ground of one theme, whatever the page's own is. */
function Panel({ theme, label, className, children }: PanelProps) {
  const ground = theme === 'evening' ? 'dark' : 'day';
  return (
    <PaletteProvider theme={theme}>
      <View role="region" aria-label={label} className={`${ground} gap-5 rounded-card bg-ground p-4 ${className}`}>
        {children}
      </View>
    </PaletteProvider>
  );
}

function Parts() {
  return (
    <>
      {KIT.map(({ name, Shown }) => (
        <View key={name} className="gap-2">
          <Words look="quiet">{name}</Words>
          <Shown />
        </View>
      ))}
    </>
  );
}
