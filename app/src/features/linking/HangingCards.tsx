import type { PieceRecord, SizedPart } from '@leggero/contract';
import type { ReactNode } from 'react';

import { Cautions } from '@/parts/Cautions';

import { CheckCard } from '@/parts/piece/CheckCard';
import { RepeatCard } from '@/parts/piece/Fields';
import { JointCard } from './JointCard';
import type { PieceSize } from '@/parts/piece/sizes';
import { SizesCard } from '@/parts/piece/SizesCard';
import { TargetCard } from '@/parts/piece/TargetCard';
import type { PieceBasis } from '@/parts/piece/useBasis';

interface HangingCardsProps {
  piece: PieceRecord;
  basis: PieceBasis;
  /** null while the piece cannot be worked out. */
  sizes: readonly PieceSize[] | null;
  chosen: string | null;
  onChoose: (key: string) => void;
  repeat: SizedPart[];
  error?: string | undefined;
  onRepeat: (repeat: SizedPart[]) => void;
  /** What else it is made of, after the balloons that repeat. */
  children?: ReactNode;
}

/** What follows from any piece of chains: the chosen size's target, all sizes, what it is made of, its check. */
export function HangingCards(props: HangingCardsProps) {
  const { piece, basis, sizes, chosen, onChoose, repeat, error, onRepeat, children } = props;
  const size = sizes?.find(({ key }) => key === (chosen ?? 'part-1'));
  return (
    <>
      {size ? <TargetCard piece={piece} size={size} basis={basis} /> : null}
      {sizes ? (
        <SizesCard piece={piece} sizes={sizes} basis={basis} chosen={size?.key ?? null} onChoose={onChoose} />
      ) : null}
      <RepeatCard
        title="Made of"
        more="Alternate with another"
        repeat={repeat}
        basis={basis}
        error={error}
        onChange={onRepeat}
      />
      {children}
      <JointCard part={repeat[0]!} basis={basis} />
      {sizes ? <CheckCard piece={piece} sizes={sizes} basis={basis} /> : null}
      <Cautions names={['heights', 'latex', 'choking']} />
    </>
  );
}
