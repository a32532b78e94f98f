import type { PieceForm } from '@leggero/contract';

/** What people get wrong as they build a piece (common practice). */
export const PITFALLS: Partial<Record<PieceForm, readonly string[]>> = {
  column: [
    'Layers turned to and fro make a zigzag: always half a step the same way for a spiral.',
    'A layer pushed on without its necks around the pole works loose: only the lowest and the topmost are locked twice.',
    'Duplets tied of other colours than planned come out in another order: lay them out before the first layer.',
  ],
  taper: [
    'Sizes look alike: keep each layer apart and marked until it is on.',
    'Too small a row at the top shows the pole: a row of 5 in balloons hides what is left.',
  ],
  arch: [
    'Started from both feet the spiral meets wrongly at the top: build from one foot to the other.',
    'Feet that slide apart flatten it: weigh both before the last layer is on.',
  ],
  hoop: [
    'Clusters that are not pushed against their neighbours leave gaps at the inner side: press each on as it is locked.',
    'A sign tied before the crescents are on hangs crooked once they pull: tie it last.',
  ],
  rope: [
    'Duplets that are not turned a quarter lie in one another’s way and leave gaps.',
    'A joiner pulled too far tears days later: knot in a second one for a longer rope.',
  ],
  bow: [
    'Loops counted by eye differ: count duplets, and hold both sides beside each other before they are closed.',
    'Tails that fall straight from the knot cover the loops: tie their start to the side.',
  ],
  garland: [
    'Equal sizes make a lumpy rope: some smaller, some larger in every cluster.',
    'Necks pulled tight into a strip or a line cut it: put them in, and leave them.',
    'A garland moved once its decorators are glued on loses them: hang it first.',
  ],
  plinth: [
    'Weights tied to a balloon rub and burst it: tie them between knot and neck of the modelling balloon.',
    'Figures that are not braced to one another turn away in the first draught.',
  ],
};
