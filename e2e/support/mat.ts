import type { Locator, Page } from '@playwright/test';

/** The mat as the pointer sees it: a place in mm of the drawing, as pixels of the window. */
export async function pixelsOf(page: Page): Promise<(x: number, y: number) => readonly [number, number]> {
  const mat = page.getByRole('application');
  const box = (await mat.boundingBox())!;
  const transform = await mat.evaluate((svg) =>
    [...svg.children].map((child) => child.getAttribute('transform')).find((text) => text?.includes('scale('))!,
  );
  const [tx, ty, k] = /translate\(([-\d.]+) ([-\d.]+)\) scale\(([-\d.]+)/.exec(transform)!.slice(1).map(Number) as [
    number,
    number,
    number,
  ];
  return (x, y) => [box.x + tx + x * k, box.y + ty - y * k];
}
export const slip = (page: Page): Locator => page.getByRole('complementary', { name: /^Slip of/ });
