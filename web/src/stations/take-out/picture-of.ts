/** Pictures larger than this on a side are beyond what browsers draw. */
export const MOST_DOTS = 16_000;

/** An SVG as a picture of dots on white. @throws Error when the browser cannot draw it so large */
export async function pictureOf(svg: Blob, dotsPerInch: number): Promise<Blob> {
  const address = URL.createObjectURL(svg);
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const k = dotsPerInch / 96,
      canvas = document.createElement('canvas');
    canvas.width = Math.round(image.naturalWidth * k);
    canvas.height = Math.round(image.naturalHeight * k);
    const most = Math.max(canvas.width, canvas.height),
      context = most <= MOST_DOTS ? canvas.getContext('2d') : null;
    if (!context)
      throw new Error(
        `At ${dotsPerInch} dots an inch it would be ${most.toLocaleString('en')} dots wide; browsers draw ${MOST_DOTS.toLocaleString('en')}. Choose fewer.`,
      );
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    if (!blob) throw new Error('The browser has no room for a picture of this size. Choose fewer dots an inch.');
    return blob;
  } finally {
    URL.revokeObjectURL(address);
  }
}
