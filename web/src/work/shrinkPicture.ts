import { hashOf } from "@yonderfell/core";

/** A stored picture is at most so large, in bytes. */
export const MOST_PICTURE_BYTES = 400_000;
/** Its longest side in pixels. */
export const LONGEST_SIDE = 1600;
/** Tried one after the other until the picture is small enough: longest side in pixels, and quality. */
const STEPS = [
  [LONGEST_SIDE, 0.82],
  [LONGEST_SIDE, 0.68],
  [1280, 0.7],
  [1024, 0.65],
  [800, 0.6],
  [640, 0.5],
] as const;
/** Larger files are refused before they are opened. */
const MOST_FILE_BYTES = 60_000_000;

/** A picture ready to be kept. */
export interface ShrunkPicture {
  readonly hash: string;
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly width: number;
  readonly height: number;
}

/**
 * A picture scaled and encoded anew so that it takes under 400 kB. What the camera wrote beside the
 * picture, where it was taken among it, is left behind. Throws with what to do where the file is no
 * picture this browser can open.
 */
export async function shrinkPicture(file: Blob): Promise<ShrunkPicture> {
  if (file.size > MOST_FILE_BYTES) {
    throw new Error("the picture is larger than 60 MB; make it smaller first");
  }
  let source: ImageBitmap;
  try {
    source = await createImageBitmap(file, { imageOrientation: "from-image" });
  } catch (error) {
    if (!(error instanceof DOMException)) throw error;
    throw new Error("this is not a picture that the browser can open; take a JPEG, PNG or WebP", {
      cause: error,
    });
  }
  try {
    for (const [side, quality] of STEPS) {
      const found = await encoded(source, side, quality);
      if (found.bytes.length < MOST_PICTURE_BYTES) return found;
    }
  } finally {
    source.close();
  }
  throw new Error("the picture could not be made small enough; take a plainer one");
}

async function encoded(source: ImageBitmap, side: number, quality: number): Promise<ShrunkPicture> {
  const scale = Math.min(1, side / Math.max(source.width, source.height));
  const width = Math.max(1, Math.round(source.width * scale));
  const height = Math.max(1, Math.round(source.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d");
  if (context === null) throw new Error("this browser cannot draw pictures");
  context.imageSmoothingQuality = "high";
  context.drawImage(source, 0, 0, width, height);
  const blob = await canvas.convertToBlob({ type: "image/jpeg", quality });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return { hash: hashOf(bytes), type: blob.type, bytes, width, height };
}
