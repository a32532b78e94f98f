import type { Problem } from '@leggero/core';
import type { PaperName, SizerForm, SizerGeometryProblem } from '@leggero/core/template';

export const FORM_WORDS: Record<SizerForm, { title: string; means: string }> = {
  plate: { title: 'Plate', means: 'Closed holes in a flat board: the truest, for a table.' },
  jaw: {
    title: 'Jaws',
    means: 'Open at one edge, so that a balloon already tied can be held in from the side.',
  },
  strip: { title: 'Rings', means: 'A strip of rings to hang from a stand or a hook.' },
  box: { title: 'Box', means: 'Six faces with finger joints; it stands by itself.' },
};

export const PAPER_WORDS: Record<PaperName, string> = { a4: 'A4', letter: 'Letter' };

/** What stands in the way of a template, and what would do. */
export function makeProblemText({ code, detail }: Problem<SizerGeometryProblem>, text: (mm: number) => string): string {
  switch (code) {
    case 'no-sizes':
      return 'Give at least one size, such as 8, 9, 10.';
    case 'too-many-sizes':
      return `At most ${detail.most} sizes go on one sizer.`;
    case 'hole-twice':
      return `${detail.label} is there twice.`;
    case 'holes-out-of-order':
      return `Write the sizes from small to large: ${detail.label} stands after ${detail.other}.`;
    case 'bad-hole':
      return 'A hole is wider than zero and not over a metre. Check the unit.';
    case 'sheet-too-small':
      return `The sheet is too small: at least ${text(detail.leastWidthMm)} by ${text(detail.leastHeightMm)} is needed.`;
    case 'bad-sheet':
      return `A sheet is wider than zero and not over ${text(detail.mostMm)}.`;
    case 'bad-kerf':
      return 'A kerf is between 0 and 20 mm.';
    case 'bad-bridge':
      return `A bridge is between ${detail.leastMm} and 100 mm.`;
    case 'kerf-over-bridge':
      return (
        `The cut would burn the bridge of ${detail.bridgeMm} mm away: make the kerf smaller or the ` + 'bridge wider.'
      );
    case 'bad-thickness':
      return 'A sheet is between 0 and 50 mm thick.';
    case 'bad-pitch':
      return 'A finger is between 0 and 200 mm long.';
    case 'thickness-over-pitch':
      return `The sheet is thicker than a finger is long (${detail.pitchMm} mm): make the fingers longer.`;
    case 'too-many-holes':
      return 'These holes do not fit on six faces: leave some out.';
  }
}
