const channel = (name) => `rgb(var(--${name}) / <alpha-value>)`;
const names = [
  'ground',
  'surface',
  'sunk',
  'line',
  'ink',
  'quiet',
  'kiln',
  'on-kiln',
  'pine',
  'on-pine',
  'pine-wash',
  'good',
  'good-wash',
  'edge',
  'edge-wash',
  'out',
  'out-wash',
];

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: Object.fromEntries(names.map((name) => [name, channel(name)])),
      borderRadius: { card: '14px' },
      fontFamily: {
        title: ['BricolageGrotesque_700Bold'],
        figure: ['BricolageGrotesque_700Bold'],
        body: ['HankenGrotesk_400Regular'],
        strong: ['HankenGrotesk_600SemiBold'],
      },
    },
  },
};
