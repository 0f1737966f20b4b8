import { compose, IDENTITY, rotationAbout, scaling, translation, type Transform } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { readNumbers } from './lengths.ts';
import type { SvgElement } from './elements.ts';

const skew = (xDegrees: number, yDegrees: number): Transform => ({
  ...IDENTITY,
  b: Math.tan(radians(yDegrees)),
  c: Math.tan(radians(xDegrees)),
});

function one(name: string, numbers: readonly number[]): Transform {
  const [x = 0, y, z] = numbers;
  switch (name) {
    case 'matrix': {
      const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = numbers;
      return { a, b, c, d, e, f };
    }
    case 'translate':
      return translation(x, y ?? 0);
    case 'scale':
      return scaling(numbers.length === 0 ? 1 : x, y ?? x);
    case 'rotate':
      return rotationAbout({ x: y ?? 0, y: z ?? 0 }, x);
    case 'skewX':
      return skew(x, 0);
    case 'skewY':
      return skew(0, x);
    default:
      return IDENTITY;
  }
}

/** A `transform` attribute: what stands last is done first. */
export function readTransform(text: string | undefined): Transform {
  let whole = IDENTITY;
  for (const [, name, numbers] of (text ?? '').matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g))
    whole = compose(one(name!, readNumbers(numbers)), whole);
  return whole;
}

/** What a `viewBox` and its fitting do in a viewport of a size: shrunk or grown evenly and centred, unless it says otherwise. */
export function viewBoxTransform(
  { attributes }: SvgElement,
  width: number | undefined,
  height: number | undefined,
): Transform {
  const [x = 0, y = 0, boxWidth = 0, boxHeight = 0] = readNumbers(attributes.viewBox);
  if (!(boxWidth > 0) || !(boxHeight > 0)) return IDENTITY;
  const fit = attributes.preserveAspectRatio ?? 'xMidYMid meet';
  const wide = width ?? (height === undefined ? boxWidth : (height * boxWidth) / boxHeight),
    high = height ?? (wide * boxHeight) / boxWidth;
  const kx = wide / boxWidth,
    ky = high / boxHeight;
  if (/none/.test(fit)) return compose(translation(-x, -y), scaling(kx, ky));
  const k = /slice/.test(fit) ? Math.max(kx, ky) : Math.min(kx, ky);
  const at = (word: string, room: number): number =>
    fit.includes(`${word}Min`) ? 0 : fit.includes(`${word}Max`) ? room : room / 2;
  return compose(
    compose(translation(-x, -y), scaling(k)),
    translation(at('x', wide - k * boxWidth), at('Y', high - k * boxHeight)),
  );
}
