import type { Problem } from '@leggero/core';
import type { HeliumLift, HeliumProblemCode } from '@leggero/core/helium';

/** "34 g", "1.2 kg", "0.8 g". */
function massText(g: number): string {
  if (g >= 1000) return `${(g / 1000).toFixed(2)} kg`;
  return `${g < 10 ? g.toFixed(1) : Math.round(g)} g`;
}

/** "0.34 L", "25 L". */
export function litresText(litres: number): string {
  return `${litres < 10 ? litres.toFixed(2) : Math.round(litres)} L`;
}

export function liftText({ grossG, netG, liftPerL }: HeliumLift): string {
  return (
    `Its gas lifts ${massText(grossG)} (${liftPerL.toFixed(2)} g a litre); ${massText(netG)} is left ` +
    'over the balloon itself.'
  );
}

export function ballastText({ ballastG, sandL, waterL }: HeliumLift): string {
  return (
    `Hold it with ${massText(ballastG)}, twice that: ${litresText(sandL)} of dry sand, or ` +
    `${litresText(waterL)} of water. Sand does not sweat or stain.`
  );
}

export function heliumProblemText({ code, detail }: Problem<HeliumProblemCode>, text: (mm: number) => string): string {
  switch (code) {
    case 'bad-volume':
      return 'Give it a volume above nothing.';
    case 'bad-mass':
      return 'Give a mass from 0 g.';
    case 'bad-temperature':
      return `Temperature from ${detail.least} to ${detail.most} °C.`;
    case 'bad-pressure':
      return `Air pressure from ${detail.least} to ${detail.most} kPa.`;
    case 'cannot-lift-itself':
      return (
        `It cannot lift itself: ${massText(detail.shortG)} too heavy. From ` +
        `${litresText(detail.leastL)}, a ball of ${text(detail.leastMm)}, it ` +
        'would.'
      );
  }
}
