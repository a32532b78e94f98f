import { boardTubes } from '@/parts/piece/boardTubes';
import { HOOP_TUBE_MM, hoopLine, type HoopDesign, type HoopView } from '@/parts/piece/viewHoop';
import { LINE_MM, STEEL_HEX } from '@/parts/piece/holds';
import type { Holds } from '@/parts/piece/tiedScene';
import type { SceneTube, Vec } from '@/parts/space/scene';

/** A stand's plate, mm across and high (common practice). */
const PLATE = { widthMm: 400, highMm: 8 } as const;

/** A hoop on its stand, with the sign that hangs inside it. */
export function hoopHolds(design: HoopDesign, { sign: hung }: HoopView): Holds {
  const { hoopMm, standMm, sign } = design;
  const ring: SceneTube = {
    line: hoopLine(design).map(({ xMm, yMm, zMm }): Vec => [xMm, yMm, zMm]),
    ...{ widthMm: HOOP_TUBE_MM, hex: STEEL_HEX },
  };
  const stand: SceneTube = {
    line: [
      [0, 0, 0],
      [0, 0, Math.max(1, standMm)],
    ],
    ...{ widthMm: HOOP_TUBE_MM, hex: STEEL_HEX },
  };
  return {
    tubes: [ring, stand, ...(sign && hung?.ok ? signTubes(sign, hung.value.lineMm, standMm + hoopMm / 2) : [])],
    discs: [{ at: [0, 0, 0], ...PLATE, hex: STEEL_HEX }],
  };
}

/** A board of slats, and the lines that it hangs on. */
function signTubes(
  { wideMm, highMm }: { wideMm: number; highMm: number },
  lineMm: number,
  middleMm: number,
): SceneTube[] {
  const [x, high] = [wideMm / 2, middleMm + highMm / 2];
  const board = boardTubes({ wideMm, highMm }, [0, 0, middleMm]);
  const lines = [-x, x].map((aside): SceneTube => {
    const line: Vec[] = [
      [aside, 0, high],
      [aside, 0, high + lineMm],
    ];
    return { line, widthMm: LINE_MM, hex: STEEL_HEX };
  });
  return [...board, ...lines];
}
