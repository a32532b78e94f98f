import type { ModelRecord } from '@leggero/contract';
import { memo } from 'react';

import { useLengths } from '@/data/lengths';
import { modelName } from '@/views/modelView';
import { OtherPicture } from '@/parts/OtherPicture';
import { KIND_WORDS } from '@/wording/trade';

import { RowFrame } from './RowFrame';

interface OtherRowProps {
  model: ModelRecord;
  chosen: boolean;
}

/** A modelling balloon or a foil in the list: no target width, but its size. */
export const OtherRow = memo(function OtherRow({ model, chosen }: OtherRowProps) {
  const { long: text } = useLengths();
  const { id, kind, nominalMm, lengthMm, colourName } = model;
  const size =
    kind === 'modelling' && lengthMm !== null
      ? `${text(nominalMm)} across, ${text(lengthMm)} long`
      : `${text(nominalMm)} ${kind === 'foil' ? 'flat' : 'across'}`;
  return (
    <RowFrame
      modelId={id}
      chosen={chosen}
      picture={<OtherPicture model={model} />}
      name={modelName(model)}
      lines={[`${colourName} · ${KIND_WORDS[kind].toLowerCase()}`, size]}
    />
  );
});
