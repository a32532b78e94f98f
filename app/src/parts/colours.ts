/** Colours to show a balloon in; names may be changed to those on the bag. */
export const COLOURS: readonly { name: string; hex: string }[] = [
  { name: 'kelp green', hex: '#3f7a4a' },
  { name: 'tide blue', hex: '#3d6fa6' },
  { name: 'deep navy', hex: '#27375c' },
  { name: 'roe orange', hex: '#d9682b' },
  { name: 'buoy red', hex: '#b83a2e' },
  { name: 'anemone pink', hex: '#d2577e' },
  { name: 'urchin violet', hex: '#6d4f8f' },
  { name: 'lamp gold', hex: '#c9973f' },
  { name: 'shell white', hex: '#ece7db' },
  { name: 'herring silver', hex: '#a9b4bd' },
  { name: 'slate black', hex: '#33322f' },
  { name: 'clear', hex: '#b9d3da' },
];
