import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { HankenGrotesk_400Regular } from '@expo-google-fonts/hanken-grotesk/400Regular';
import { Asset } from 'expo-asset';

import type { PaperFonts } from './pen';

/** The type that is drawn on paper, as bytes. */
export async function paperFonts(): Promise<PaperFonts> {
  const [title, text] = await Promise.all([fontBytes(BricolageGrotesque_700Bold), fontBytes(HankenGrotesk_400Regular)]);
  return { title, text };
}

async function fontBytes(font: number): Promise<ArrayBuffer> {
  const response = await fetch(Asset.fromModule(font).uri);
  if (!response.ok) throw new Error('The type could not be read.');
  return response.arrayBuffer();
}
