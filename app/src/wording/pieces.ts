import type { PieceForm, PieceRecord } from '@leggero/contract';

/** What a form of piece is called, and what it is good for. */
export const FORM_WORDS: Record<PieceForm, { title: string; note: string }> = {
  column: { title: 'Column', note: 'Layers around a pole, in colours' },
  taper: { title: 'Taper', note: 'Layers that follow a silhouette' },
  arch: { title: 'Arch', note: 'Layers on a frame, or free' },
  hoop: { title: 'Hoop', note: 'Crescents around a hoop on a stand' },
  rope: { title: 'Rope', note: 'Crossed duplets on a joiner' },
  bow: { title: 'Bow', note: 'Two loops and tails of rope' },
  plinth: { title: 'Plinth', note: 'A row of clusters for figures' },
  garland: { title: 'Garland', note: 'Clusters along a path, packed in space' },
  chain: { title: 'Chain', note: 'Neck to tail, to a length' },
  swag: { title: 'Swags', note: 'Hanging between fixings' },
  curtain: { title: 'Curtain', note: 'Chains side by side, or a grid' },
  ring: { title: 'Ring', note: 'Around a pole, or rings upon rings' },
  basket: { title: 'Basket', note: 'Spokes, rings, tying balloons, handle' },
  cup: { title: 'Cup', note: 'Rings straight up, each between two' },
  dome: { title: 'Dome', note: 'Rings that close at the top' },
  ball: { title: 'Ball', note: 'Two domes from one equator' },
  wreath: { title: 'Wreath', note: 'Rings around each other, flat' },
};

/** What a piece is called, and how many of it are made: "2 × Kelp columns". */
export function pieceTitle({ name, copies }: Pick<PieceRecord, 'name' | 'copies'>): string {
  return copies > 1 ? `${copies} × ${name}` : name;
}

/** What a size of a piece is called. */
export function layerTitle(key: string, form: PieceForm): string {
  const [name, number] = [key.replace(/-?\d+$/, ''), Number(/\d+$/.exec(key)?.[0] ?? 0)];
  if (name === 'spokes') return 'Spokes';
  if (name === 'colour') return `Colour ${number}`;
  if (name === 'topper') return 'Topper';
  if (name === 'cap') return 'Closing balloon';
  if (name === 'ties') return number > 1 ? `Tying balloons ${number}` : 'Tying balloons';
  if (name === 'finisher') return 'Finishing balloons';
  if (name === 'part') return `Balloon ${number} of the repeat`;
  if (form === 'ball' && number === 1) return 'Equator';
  if (number === 1) return form === 'basket' ? 'First ring' : form === 'ring' ? 'Ring' : 'Base ring';
  if (name === 'ring') return `Ring ${number}`;
  return key;
}
