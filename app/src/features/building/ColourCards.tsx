import type { PieceRecord } from '@leggero/contract';
import type { ReactNode } from 'react';

import { Cautions } from '@/parts/Cautions';
import { CheckCard } from '@/parts/piece/CheckCard';
import type { Coloured, ColumnBalloon } from '@/parts/piece/colouring';
import { modelOf } from '@/parts/piece/material';
import { SizesCard } from '@/parts/piece/SizesCard';
import { TargetCard } from '@/parts/piece/TargetCard';
import type { PieceBasis } from '@/parts/piece/useBasis';

import { ColoursCard } from './ColoursCard';
import type { Colouring } from './colouring';
import { MapCard } from './MapCard';
import { TyingCard } from './TyingCard';

/** What the colours of a piece are called: as the shelf calls them, or by their numbers. */
export function namesOf({ colours }: Pick<Colouring, 'colours'>, basis: PieceBasis): (colour: number) => string {
  return (colour) => {
    const part = colours[colour];
    return (part && modelOf(part, basis)?.colourName) ?? `colour ${colour + 1}`;
  };
}

interface ColourCardsProps {
  piece: PieceRecord;
  design: Colouring;
  basis: PieceBasis;
  /** null while the piece cannot be worked out. */
  view: Coloured | null;
  /** The balloon whose size's target is shown; the first size's where none was tapped. */
  tapped: ColumnBalloon | null;
  onTap: (balloon: ColumnBalloon | null) => void;
  wrong: (field: string) => string | undefined;
  change: (by: Partial<Colouring>) => void;
  /** What stands between that target and the colours. */
  between?: ReactNode;
  /** What follows from the layers themselves. */
  children: ReactNode;
}

/** What follows from any piece of layers: a size's target, the colours, the map, what to tie, the sizes, their check. */
export function ColourCards(props: ColourCardsProps) {
  const { piece, design, basis, view, tapped, onTap, wrong, change, between, children } = props;
  const nameOf = namesOf(design, basis);
  const size = view?.sizes.find(({ key }) => key === tapped?.key) ?? view?.sizes[0];
  return (
    <>
      {size ? <TargetCard piece={piece} size={size} basis={basis} shape="classic" /> : null}
      {between}
      <ColoursCard
        design={design}
        basis={basis}
        notices={view?.notices ?? []}
        nameOf={nameOf}
        error={wrong('pattern.order') ?? wrong('pattern.every')}
        change={change}
      />
      {view ? (
        <>
          <MapCard design={design} form={piece.design.form} map={view.map} nameOf={nameOf} change={change} />
          <TyingCard
            tying={view.tying}
            count={design.count}
            form={piece.design.form}
            hexOf={(colour) => design.colours[colour]!.colourHex}
            nameOf={nameOf}
          />
          <SizesCard
            piece={piece}
            sizes={view.sizes}
            basis={basis}
            chosen={size?.key ?? null}
            onChoose={(key) => onTap(view.balloons.find((balloon) => balloon.key === key) ?? null)}
          />
          {children}
          <CheckCard piece={piece} sizes={view.sizes} basis={basis} />
        </>
      ) : null}
      <Cautions names={['heights', 'latex', 'choking']} />
    </>
  );
}
