import type { PieceDesign } from '@leggero/contract';

import { answerWith } from '@/device/answer';
import { addressOf } from '@/device/smallPicture';

import type { DrawnStill } from '@/data/stills';
import { materialFrom, type PlainMaterial } from './material';
import { drawStill, extentOf, stillOf } from './still';
import { svgPiece, type SvgPiece } from './stillSvg';
import { worksAnswer, type WorksAnswer, type WorksQuestion } from './works';

/** What the worker is sent: pieces to be drawn. */
export interface StillQuestion {
  jobs: { design: PieceDesign; material: PlainMaterial }[];
  px: number;
}
/** For each how it looks; nothing for what cannot be worked out. */
export type StillAnswer = (DrawnStill | null)[];

async function draw({ jobs, px }: StillQuestion): Promise<StillAnswer> {
  const pictures: StillAnswer = [];
  for (const { design, material } of jobs) {
    const still = stillOf(design, materialFrom(material));
    const canvas = new OffscreenCanvas(px, px);
    const context = canvas.getContext('2d');
    if (!still || !context) {
      pictures.push(null);
      continue;
    }
    drawStill(context, still, px);
    const { left, right, top, foot } = extentOf(still);
    pictures.push({
      picture: await addressOf(await canvas.convertToBlob()),
      wideMm: right - left,
      highMm: foot - top,
      footMm: still.footMm,
    });
  }
  return pictures;
}

/** What the worker is sent to draw pieces as lines. */
export interface SvgQuestion {
  svgs: StillQuestion['jobs'];
}
export type SvgAnswer = (SvgPiece | null)[];

function drawLines({ svgs }: SvgQuestion): SvgAnswer {
  return svgs.map(({ design, material }, i) => {
    const still = stillOf(design, materialFrom(material));
    return still && svgPiece(still, `piece-${i + 1}`);
  });
}

/** Works pieces out, and draws them, off the page's own thread. */
answerWith<StillQuestion | SvgQuestion | WorksQuestion, StillAnswer | SvgAnswer | WorksAnswer>({
  work: (question) => {
    if ('jobs' in question) return draw(question);
    return 'svgs' in question ? drawLines(question) : worksAnswer(question);
  },
});
