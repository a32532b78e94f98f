import '../../global.css';

import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { HankenGrotesk_400Regular } from '@expo-google-fonts/hanken-grotesk/400Regular';
import { HankenGrotesk_600SemiBold } from '@expo-google-fonts/hanken-grotesk/600SemiBold';
import { notifyManager } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect, useState } from 'react';

import { KnowledgeProvider } from '@/data/knowledge';
import { TradeProvider } from '@/data/tradeProvider';
import { createQueryClient, RecordsProvider, useDelivery } from '@/data/records';
import { comeAhead } from '@/device/ahead';
import { keepApp } from '@/device/newVersion';
import { Door } from '@/features/crew/Door';
import { Frame } from '@/features/frame/Frame';
import { SettledMark } from '@/features/frame/SettledMark';
import { followTheme } from '@/ui/theme';

// What a tap changes is on the page with the next frame.
notifyManager.setScheduler(queueMicrotask);

export default function RootLayout() {
  const [client] = useState(createQueryClient);
  const [fontsReady, fontsFailed] = useFonts({
    BricolageGrotesque_700Bold,
    HankenGrotesk_400Regular,
    HankenGrotesk_600SemiBold,
  });
  useEffect(followTheme, []);
  useEffect(comeAhead, []);
  useEffect(keepApp, []);
  if (!fontsReady && !fontsFailed) return null;
  return (
    <RecordsProvider client={client}>
      <SettledMark />
      <TradeProvider>
        <KnowledgeProvider>
          <Door>
            <Delivery />
            <Frame>
              <Slot />
            </Frame>
          </Door>
        </KnowledgeProvider>
      </TradeProvider>
    </RecordsProvider>
  );
}

function Delivery() {
  useDelivery();
  return null;
}
