import type { GarlandPathKind } from '@leggero/core';

import { groupsText, trimmingsText } from '@/wording/decorators';
import {
  coveredText,
  fixingsText,
  garlandCounts,
  garlandProblemText,
  garlandSteps,
  garlandStepText,
  keptText,
  missingText,
  offWallText,
  overloadText,
  printsText,
  stripText,
  suppliesText,
  whichText,
} from '@/wording/garland';
import {
  coverText,
  fillingClusters,
  fillingHoles,
  finishedText,
  handsLengthText,
  mattersText,
  ownRuleText,
  ruleText,
  seenText,
  softnessText,
} from '@/wording/garlandLength';

import { inch, text } from './garlands';

it('words of garlands say what would work', () => {
  expect(coverText({ lengthMm: inch(120), pathMm: inch(121), clusters: 10 }, text)).toBe(
    'Its path is 10 ft 1 in: it fills it.',
  );
  expect(coverText({ lengthMm: inch(140), pathMm: inch(120), clusters: 10 }, text)).toMatch(
    /goes on for 20 in beyond its end/,
  );
  const strip = { lengthMm: inch(125), pathMm: inch(120), clusters: 40 };
  expect(coverText(strip, text)).toMatch(/goes on for 5 in/);
  expect(coverText(strip, text, true)).toMatch(/it fills it/);
  expect(fillingClusters({ lengthMm: 1200, pathMm: 1200, clusters: 4 })).toBeNull();
  expect(fillingClusters({ lengthMm: 1200, pathMm: 2400, clusters: 4 })).toBe(8);
  expect(fillingClusters({ lengthMm: 1200, pathMm: 1e9, clusters: 4 })).toBe(400);
  expect(ruleText(1000, 1000, text)).toMatch(/: as packed\.$/);
  expect(ruleText(1000, 900, text)).toMatch(/10 % shorter\.$/);
  expect(ruleText(null, 900, text)).toBe('The trade has no rule for clusters like these.');
  const three = [
    [inch(4), inch(4)],
    [inch(3), inch(4), inch(5)],
    [inch(4), inch(4)],
  ];
  expect(groupsText(three, text)).toBe('3 decorators, 1 three and 2 twos: 7 balloons, 3 in to 5 in wide.');
  expect(groupsText([[inch(4)]], text)).toBe('1 decorator, 1 single: 1 balloon, 4 in wide.');
  const flowers = [
    { kind: 'flower', count: 3 },
    { kind: 'leaf', count: 1 },
  ] as const;
  expect(trimmingsText(flowers, [{ kind: 'flower' }, { kind: 'leaf' }])).toBe(
    '3 flowers and 1 leaf, evenly along it. For 2 of them no hollow is left.',
  );
  const range = (mean: number, by: number) => ({ mean, low: mean - by, high: mean + by });
  const hands = (eye: number, sizer: number) =>
    handsLengthText(
      {
        planned: range(inch(144), inch(1)),
        ways: { eye: { lengthMm: range(inch(144), inch(eye)) }, sizer: { lengthMm: range(inch(144), inch(sizer)) } },
      },
      12,
      text,
    );
  expect(hands(4, 2)).toMatch(/^By eye is fine: it comes out 11 ft 8 in to 12 ft 4 in/);
  expect(hands(8, 2)).toBe(
    'Use the sizer: by eye it comes out 11 ft 4 in to 12 ft 8 in, sized 11 ft 10 in to 12 ft 2 in.',
  );
  expect(hands(9, 8)).toMatch(/^Keep a cluster to spare: even sized it comes out 11 ft 4 in/);
  const matters = (share: number) =>
    mattersText({ widthMm: inch(10), count: 6, share }, inch(144), { text, fine: text });
  expect(matters(0.5)).toBe('10 in, 6 of them: ¼ in wider makes it 1¾ in longer.');
  expect(matters(0.01)).toBe('10 in, 6 of them: ¼ in wider leaves it as long.');
  const takes = { modelling: 1, lineMm: inch(108), bands: 0, glueDots: 32 };
  expect(suppliesText(takes, text)).toBe('Beside its balloons: 1 modelling balloon, 9 ft of line and 32 glue dots.');
  expect(suppliesText({ modelling: 0, lineMm: 0, bands: 0, glueDots: 0 }, text)).toBe('Nothing beside its balloons.');
  expect(ownRuleText({ share: 0.953, garlands: 1 }, inch(120), inch(126), text)).toBe(
    'The one of yours that was measured came to 0.95 of that rule, here 10 ft: packed it is 5 % longer.',
  );
  expect(softnessText({ press: 0.0312 }, 1)).toMatch(
    /^Packed as soft as the one of yours .* by 3\.1 % of their widths\.$/,
  );
  expect(finishedText(0)).toMatch(/trade’s number until one of yours was measured/);
  expect(finishedText(2)).toMatch(/^2 garlands of yours were measured/);
  expect(garlandProblemText({ code: 'too-many-balloons', detail: { most: 5000, balloons: 5280 } }, text)).toBe(
    '5,280 balloons: up to 5,000 are packed.',
  );
  expect(garlandProblemText({ code: 'line-too-long', detail: { mostMm: inch(120) } }, text)).toBe('Up to 10 ft.');
  const steps = (kind: GarlandPathKind, by: { strip?: object; fullness?: number[] } = {}) =>
    garlandSteps(12, { path: { kind }, strip: null, fullness: [1, 1], joined: 'modelling', ...by }).join(' ');
  expect(steps('droop')).toMatch(/12 clusters.*let it come to rest/);
  expect(steps('corner')).toMatch(/the foot, the bend and the top/);
  expect(steps('corner')).not.toMatch(/Tie more clusters/);
  expect(steps('corner', { strip: {}, fullness: [2, 1] })).toMatch(
    /12 balloons into their holes.*with bands.*the strip/,
  );
  const tied = { clusters: 3, strip: null, over: [{ on: 0 }] };
  expect([0, 3, 4].map((step) => garlandStepText(step, tied, 4))).toEqual([
    'Cluster 1 of 3: 4 balloons',
    'Over cluster 1: 4 balloons',
    '4 small balloons in its hollows, glued on last',
  ]);
  const holes = [4, 6, 7].map((hole, i) => ({ hole, side: i % 2 === 0 ? ('left' as const) : ('right' as const) }));
  const inHoles = { ...tied, strip: holes };
  expect([1, 3].map((step) => garlandStepText(step, inHoles, 1))).toEqual([
    'Hole 6, to the right: balloon 2 of 3',
    'Over hole 4: 1 balloon',
  ]);
  expect(garlandCounts(tied, 16)).toBe('3 clusters and 1 over them, 16 balloons');
  expect(garlandCounts(inHoles, 7)).toBe('strip of 3 balloons and 1 over it, 7 balloons');
  const strung = { holes: 40, pitchMm: inch(3), before: 3, after: 2 };
  expect(stripText(strung, inch(120), text)).toBe(
    'The strip is 10 ft long; 3 holes before and 2 behind its balloons are left to hang it by.',
  );
  expect(stripText({ ...strung, before: 0, after: 0 }, inch(60), text)).toMatch(
    /no hole is left to hang it by.*5 ft longer than where it runs/,
  );
  expect(fillingHoles({ ...strung, first: 4 }, inch(108))).toBeNull();
  expect(fillingHoles({ ...strung, first: 4 }, inch(180))).toBe(64);
  expect(printsText(0)).toBeNull();
  expect(printsText(1)).toMatch(/^1 pair of prints lies side by side/);
  expect(keptText(4, false)).toBe('All before cluster 5 stays as it lies; what follows is turned another way.');
  const missing = [
    { colour: 'kelp green', nominalMm: inch(18) },
    { colour: 'tide blue', nominalMm: inch(5) },
  ];
  expect(missingText(missing)).toMatch(/^Not on the shelf: kelp green in 18 in and tide blue in 5 in\. /);
  const stretches = [
    { fromMm: 0, toMm: inch(2) },
    { fromMm: inch(9), toMm: inch(12) },
  ];
  const seen = (bare: typeof stretches, strip = false) => seenText({ bare, deepMm: inch(20), strip }, text);
  expect(seen([])).toBe('20 in thick. From the front its line shows nowhere.');
  expect(seen(stretches, true)).toMatch(/its strip shows at 2 places, in all 5 in: put/);
  expect(seen(stretches.slice(1))).toMatch(/shows at one place 3 in: put/);
  const hung = { sagMm: inch(4), mostKg: 0.31, fixings: [{}, {}] };
  expect(fixingsText(hung, 0.052, text)).toBe(
    'It weighs 52 g. 2 hooks: one carries up to 0.31 kg; between them it sags up to 4 in.',
  );
  expect(overloadText(hung, 0.31)).toBeNull();
  expect(overloadText(hung, 0.3)).toMatch(/^One would carry 0\.31 kg and holds 0\.30 kg/);
  const door = { kind: 'door' as const, leftMm: 1000, lowMm: 0, wideMm: 900, highMm: 2000 };
  const wall = { wideMm: 4000, highMm: 2500, things: [door, { ...door, kind: 'sofa' as const }] };
  // Its left edge is 1 m to the left of the wall's middle.
  const ball = (xMm: number, zMm: number) => ({ xMm, zMm, widthMm: 250 });
  expect(coveredText([ball(-1126, 1000), ball(-500, 2126), ball(26, 500)], wall)).toBeNull();
  expect(coveredText([ball(-1124, 1000), ball(-500, 2124)], wall)).toMatch(/^2 balloons before the door: /);
  expect(offWallText([[-2000, 0, 2500]], wall, text)).toBeNull();
  expect(offWallText([[0, 0, 2500 + inch(4)]], wall, text)).toBe('It leaves the wall by 4 in.');
  expect(garlandProblemText({ code: 'path-crosses' }, text)).toMatch(/crosses itself/);
  expect(garlandProblemText({ code: 'hoop-in-floor', detail: { leastMm: inch(60) } }, text)).toMatch(
    /at least 5 ft\.$/,
  );
  const which = { cluster: 2, layer: 0, place: 1 };
  expect(whichText(which, null)).toBe('Balloon 2 of cluster 3');
  expect(whichText({ ...which, layer: 2 }, null)).toBe('Balloon 2 over cluster 3, layer 3');
  expect(whichText({ ...which, place: 0 }, [{ hole: 4 }, { hole: 6 }, { hole: 7 }])).toBe('The balloon in hole 7');
});
