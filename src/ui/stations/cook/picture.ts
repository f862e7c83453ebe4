/** At most so many points across, and so many bytes: what a page shows, and a household's folder takes for years. */
const MOST_SIDE = 1280;
const [WANTED_BYTES, MOST_BYTES] = [250_000, 1024 ** 2];
const QUALITIES = [0.85, 0.75, 0.65, 0.5, 0.35] as const;

/** A picture from a device, drawn anew: small enough to be kept, and without what the camera wrote beside it. JPEG, base64. */
export async function scaledJpeg(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => {
    throw new Error("This is no picture that the browser can read. Take a photo, or choose a JPEG, PNG or WebP.");
  });
  const scale = Math.min(1, MOST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const drawing = canvas.getContext("2d");
  if (!drawing) throw new Error("This browser cannot draw the picture anew, so it is not kept.");
  drawing.fillStyle = "#fff";
  drawing.fillRect(0, 0, canvas.width, canvas.height);
  drawing.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  let smallest: Blob | null = null;
  for (const quality of QUALITIES) {
    smallest = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/jpeg", quality));
    if (smallest && smallest.size <= WANTED_BYTES) break;
  }
  if (!smallest || smallest.size > MOST_BYTES) throw new Error("The picture could not be made smaller than 1 MB.");
  return base64Of(smallest);
}

/** Bytes as base64. */
export async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = "";
  // In pieces: a call takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** Half of the square that is averaged about a point, as a share of the picture's width. */
const ABOUT = 0.012;

/** The colour about a point of a picture that is shown (shares from left and top), as "#d7a452"; null where it cannot be read. */
export function colourAt(picture: HTMLImageElement, left: number, top: number): string | null {
  const half = Math.max(1, Math.round(ABOUT * picture.naturalWidth));
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = 2 * half;
  const drawing = canvas.getContext("2d", { willReadFrequently: true });
  if (!drawing || picture.naturalWidth === 0) return null;
  drawing.drawImage(picture, left * picture.naturalWidth - half, top * picture.naturalHeight - half, 2 * half, 2 * half, 0, 0, 2 * half, 2 * half);
  const { data } = drawing.getImageData(0, 0, 2 * half, 2 * half);
  const sums = [0, 0, 0];
  let count = 0;
  for (let i = 0; i < data.length; i += 4) {
    if ((data[i + 3] ?? 0) < 128) continue;
    count++;
    for (const channel of [0, 1, 2]) sums[channel] = (sums[channel] ?? 0) + (data[i + channel] ?? 0);
  }
  if (count === 0) return null;
  return `#${sums
    .map((sum) =>
      Math.round(sum / count)
        .toString(16)
        .padStart(2, "0"),
    )
    .join("")}`;
}
