import { hsv } from './hsv.ts';

const FIRST_COLOURS = [
  '#000000',
  '#ff0000',
  '#ffff00',
  '#00ff00',
  '#00ffff',
  '#0000ff',
  '#ff00ff',
  '#000000',
  '#808080',
  '#c0c0c0',
];
const VALUES = [1, 0.8, 0.6, 0.5, 0.3];
const GREYS = [0x33, 0x5b, 0x84, 0xad, 0xd6, 0xff];

/** The colour of a number of the format's palette as `#rrggbb`: nine plain ones, 24 hues in ten tones, six greys. White is drawn as black. */
export function paletteColour(index: number): string {
  if (index >= 0 && index < FIRST_COLOURS.length) return FIRST_COLOURS[index]!;
  if (index >= 250 && index <= 255) {
    const grey = GREYS[index - 250]!;
    return index === 255 ? '#000000' : hsv(0, 0, grey / 255);
  }
  if (index < 10 || index > 255) return '#000000';
  const hue = (Math.floor(index / 10) - 1) * 15;
  return hsv(hue, index % 2 === 0 ? 1 : 0.5, VALUES[Math.floor((index % 10) / 2)]!);
}

/** A colour of 24 bits as `#rrggbb`; white is drawn as black. */
export function trueColour(value: number): string {
  const text = `#${(value & 0xffffff).toString(16).padStart(6, '0')}`;
  return text === '#ffffff' ? '#000000' : text;
}
