import { rgb } from 'd3-color';

/** A colour of a hue in degrees, a saturation and a value in [0, 1], as `#rrggbb`. */
export function hsv(hueDegrees: number, saturation: number, value: number): string {
  const channel = (n: number): number => {
    const k = (n + hueDegrees / 60) % 6;
    return 255 * (value - value * saturation * Math.max(0, Math.min(k, 4 - k, 1)));
  };
  return rgb(channel(5), channel(3), channel(1)).formatHex();
}
