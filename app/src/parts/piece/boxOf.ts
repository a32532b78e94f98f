import type { Box } from '@leggero/core/building';

interface Ball {
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
}

/** How much room balloons take by themselves, wherever they hang or stand. */
export function boxOf(balloons: readonly Ball[]): Box {
  const span = (of: (ball: Ball) => number) => {
    const most = balloons.reduce((far, ball) => Math.max(far, of(ball) + ball.widthMm / 2), -Infinity);
    return most - balloons.reduce((far, ball) => Math.min(far, of(ball) - ball.widthMm / 2), Infinity);
  };
  return { wideMm: span(({ xMm }) => xMm), deepMm: span(({ yMm }) => yMm), highMm: span(({ zMm }) => zMm) };
}
