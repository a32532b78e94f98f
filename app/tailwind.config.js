const plugin = require('tailwindcss/plugin');

const { day, evening } = require('./src/ui/palette.json');

/** `pineWash` as classes and variables spell it. */
const spelled = (name) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
/** A colour as channels, so that classes may add an opacity: "31 94 84". */
const channels = (hex) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)).join(' ');
const variables = (palette) =>
  Object.fromEntries(Object.entries(palette).map(([name, hex]) => [`--${spelled(name)}`, channels(hex)]));

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: Object.fromEntries(
        Object.keys(day).map((name) => [spelled(name), `rgb(var(--${spelled(name)}) / <alpha-value>)`]),
      ),
      borderRadius: { card: '14px' },
      fontFamily: {
        title: ['BricolageGrotesque_700Bold'],
        figure: ['BricolageGrotesque_700Bold'],
        body: ['HankenGrotesk_400Regular'],
        strong: ['HankenGrotesk_600SemiBold'],
      },
    },
  },
  plugins: [plugin(({ addBase }) => addBase({ ':root, .day': variables(day), '.dark': variables(evening) }))],
};
