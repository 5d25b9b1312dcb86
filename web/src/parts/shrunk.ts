/** Longer edges than the shop keeps go over the network for nothing. */
const LONGEST = 2000;
const QUALITY = 0.88;

/** A picture as a JPEG no larger than the shop keeps; the file itself if this browser cannot read it: the server says what is wrong with it. */
export async function shrunk(file: Blob): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(picture.width * scale);
    canvas.height = Math.round(picture.height * scale);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const small = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
    return small && small.size < file.size ? small : file;
  } catch {
    return file;
  }
}
