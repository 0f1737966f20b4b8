/** A CSS pixel in mm: 96 to the inch. */
export const MM_PER_PIXEL = 25.4 / 96;

/** Units of SVG lengths in pixels. */
const PIXELS: Readonly<Record<string, number>> = {
  px: 1,
  mm: 96 / 25.4,
  cm: 960 / 25.4,
  in: 96,
  pt: 96 / 72,
  pc: 16,
  q: 24 / 25.4,
};

/** A length of an SVG attribute. */
export interface SvgLength {
  readonly pixels: number;
  /** `px`, `mm` and so on; nothing where the number stands alone. */
  readonly unit: string;
}

/** A length, or undefined for none and for those that are parts of something else (`%`, `em`). */
export function readLength(text: string | undefined): SvgLength | undefined {
  const [, number, unit] = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '') ?? [];
  if (number === undefined) return undefined;
  const pixels = unit === '' ? 1 : PIXELS[unit!.toLowerCase()];
  return pixels === undefined ? undefined : { pixels: Number(number) * pixels, unit: unit!.toLowerCase() };
}

/** The numbers of a list, whatever stands between them. */
export const readNumbers = (text: string | undefined): readonly number[] =>
  (text?.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi) ?? []).map(Number);
