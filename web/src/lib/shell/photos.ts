/** A side of a photo that is sent (pixels): labels on a plate can be read, and a slow line carries it. */
const MOST_SIDE = 1600;
const QUALITY = 0.8;

/**
 * A photo drawn anew, the right way up and not larger than is needed: nothing of what a camera writes beside it goes along.
 *
 * @throws where it is no photo
 */
export async function smaller(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const share = Math.min(1, MOST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * share);
  canvas.height = Math.round(picture.height * share);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob((drawn) => (drawn ? resolve(drawn) : reject(new Error('no photo'))), 'image/jpeg', QUALITY),
  );
}

/** As JSON carries it. */
export async function base64(picture: Blob): Promise<string> {
  const bytes = new Uint8Array(await picture.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}
