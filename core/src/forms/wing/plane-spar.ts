import type { SkinSection } from '../section/index.ts';

/** The slopes of a strip-spar section, as tangents. */
function slopesOf({ corners }: SkinSection): { readonly front: number; readonly rear: number } {
  const [tail, rear, front, nose] = [corners.at(-1)!, corners.at(-2)!, corners.at(-3)!, corners.at(-4)!];
  return { front: (front.y - nose.y) / (front.x - nose.x), rear: (rear.y - tail.y) / (tail.x - rear.x) };
}

/**
 * Place and height of the spar at another chord with which both slopes are those of a section, so that the skins between are plane.
 * @source nose, tail and the width of the cap follow from the slopes and the board alone: both slopes meet the cap at one height
 */
export function planeSpar(
  root: SkinSection,
  rootChordMm: number,
  tipChordMm: number,
  thicknessMm: number,
): { readonly frontMm: number; readonly heightMm: number } {
  const slopes = slopesOf(root);
  const nose = root.corners.at(-4)!,
    front = root.corners.at(-3)!,
    rear = root.corners.at(-2)!,
    tail = root.corners.at(-1)!;
  const cap = rear.x - front.x,
    tailX = tail.x + tipChordMm - rootChordMm;
  const creaseX =
    (tail.y - nose.y + slopes.rear * (tailX - cap) + slopes.front * nose.x) / (slopes.front + slopes.rear);
  const top = nose.y + slopes.front * (creaseX - nose.x);
  return { frontMm: creaseX + thicknessMm * Math.tan(Math.atan(slopes.front) / 2), heightMm: top - 2 * thicknessMm };
}
