/** The palette as drawings need it; classes take the same values from global.css. */
export interface Palette {
  ground: string;
  surface: string;
  sunk: string;
  line: string;
  ink: string;
  quiet: string;
  kiln: string;
  onKiln: string;
  pine: string;
  onPine: string;
  pineWash: string;
  good: string;
  edge: string;
  out: string;
  outWash: string;
}

export const DAY: Palette = {
  ground: '#f7f4ee',
  surface: '#ffffff',
  sunk: '#ece7dc',
  line: '#e4ded3',
  ink: '#22201c',
  quiet: '#655f56',
  kiln: '#b8431f',
  onKiln: '#ffffff',
  pine: '#1f5e54',
  onPine: '#ffffff',
  pineWash: '#dee9e5',
  good: '#2f6b3a',
  edge: '#8a5a00',
  out: '#a3201d',
  outWash: '#f8e0db',
};

export const EVENING: Palette = {
  ground: '#1b1916',
  surface: '#26231f',
  sunk: '#141210',
  line: '#423d35',
  ink: '#f0eade',
  quiet: '#b4ab9c',
  kiln: '#e2734d',
  onKiln: '#21110a',
  pine: '#7ec4b4',
  onPine: '#0e231f',
  pineWash: '#263e39',
  good: '#8bc892',
  edge: '#e2b25e',
  out: '#f28f85',
  outWash: '#4c231f',
};
