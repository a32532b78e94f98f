import type { GivenCode } from '@leggero/contract/crew';
import { create } from 'qrcode';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { momentText } from '@/wording/day';

interface CodeShownProps {
  /** Where the code is taken. */
  page: '/join' | '/new-password' | '/shared';
  given: GivenCode;
  says: string;
}

/** Names of this machine, by which no other finds it. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** A code in full, this once: as a picture to scan, as a link, and to be read out. */
export function CodeShown({ page, given: { code, expiresAt }, says }: CodeShownProps) {
  const [copied, setCopied] = useState(false);
  const { origin, hostname } = window.location;
  // Behind the #, which is sent to no server.
  const link = `${origin}${page}#${code}`;
  const copy = async () => {
    await navigator.clipboard.writeText(link);
    setCopied(true);
  };
  return (
    <>
      <Words>{says}</Words>
      <QrPicture text={link} />
      <View className="gap-1">
        <Words look="figure" className="text-center text-[24px] leading-8" selectable>
          {code}
        </Words>
        <Words look="quiet" className="text-center">{`Good until ${momentText(expiresAt)}, and shown only now.`}</Words>
      </View>
      {OWN_NAMES.includes(hostname) ? (
        <Words look="error" role="alert">
          This page is open by a name that only this machine knows. Open Leggero by its address in your network, and do
          this from there.
        </Words>
      ) : null}
      {navigator.clipboard ? (
        <Button title={copied ? 'The link is copied' : 'Copy the link'} tall onPress={() => void copy()} />
      ) : (
        <Words selectable>{link}</Words>
      )}
    </>
  );
}

/** Squares without anything around a picture that is scanned: ISO/IEC 18004 asks for four. */
const QUIET = 4;

/** A text as a QR code: dark squares on light ones by day and Evening, as cameras expect. */
function QrPicture({ text }: { text: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const across = size + 2 * QUIET;
  const squares = Array.from(modules.data, (dark, i) =>
    dark ? `M${QUIET + (i % size)} ${QUIET + Math.floor(i / size)}h1v1h-1z` : '',
  ).join('');
  return (
    <View role="img" aria-label="The link as a code to scan" className="items-center">
      <Svg width={232} height={232} viewBox={`0 0 ${across} ${across}`} aria-hidden>
        <Rect width={across} height={across} fill="#ffffff" />
        <Path d={squares} fill="#22201c" />
      </Svg>
    </View>
  );
}
