const START = [0xff, 0xd8] as const;
const MARK = 0xff;
const END = 0xd9;
const SCAN = 0xda;
const JFIF = 0xe0;
const PROFILE = 0xe2;
/** Marks that stand by themselves within a scan, and a byte of its own that looks like one. */
const RESTARTS = { from: 0xd0, to: 0xd7 } as const;
const STUFFED = 0x00;
/** What only describes how the picture is packed: frames, Huffman and quantisation tables, restarts. */
const OF_THE_PICTURE: ReadonlySet<number> = new Set([
  ...[0xc0, 0xc1, 0xc2, 0xc4, 0xdb, 0xdd, SCAN],
  ...[JFIF, PROFILE],
]);
const FRAMES: ReadonlySet<number> = new Set([0xc0, 0xc1, 0xc2]);

/** How large a JPEG picture is, in pixels. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

/** Where the data of a scan end: at the next mark that is no part of it. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(MARK, from); at >= 0; at = bytes.indexOf(MARK, at + 1)) {
    const next = bytes[at + 1] ?? END;
    if (next !== STUFFED && (next < RESTARTS.from || next > RESTARTS.to)) return at;
  }
  return bytes.length;
}

/**
 * The size of a JPEG picture that holds nothing but the picture: no place it was taken at, no camera,
 * no words, and nothing after its end. Null for every other file (ISO/IEC 10918-1, annex B).
 */
export function plainJpegSize(bytes: Uint8Array): PictureSize | null {
  if (START.some((byte, index) => bytes[index] !== byte)) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let size: PictureSize | null = null;
  let at: number = START.length;
  while (at + 4 <= bytes.length && bytes[at] === MARK) {
    const mark = view.getUint8(at + 1);
    if (!OF_THE_PICTURE.has(mark)) return null;
    const end = at + 2 + view.getUint16(at + 2);
    if (end > bytes.length) return null;
    if (FRAMES.has(mark) && end >= at + 9) {
      size = { height: view.getUint16(at + 5), width: view.getUint16(at + 7) };
    }
    at = mark === SCAN ? endOfScan(bytes, end) : end;
    if (mark === SCAN && bytes[at + 1] === END) return at + 2 === bytes.length ? size : null;
  }
  return null;
}
