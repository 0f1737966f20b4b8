import wrenPicture from '../../../../../demo/plans/wren-three-views.png?url&no-inline';

/** The made-up three-view picture that ships to trace. */
export const EXAMPLE_SHEET = 'a three-view picture';

/** The picture as a file, as if it had been chosen. */
export async function exampleSheet(): Promise<File> {
  const blob = await (await fetch(wrenPicture)).blob();
  return new File([blob], 'wren-three-views.png', { type: 'image/png' });
}
