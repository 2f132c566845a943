import { hashOf } from "@yonderfell/core";
import type { StoredPicture } from "../src/data/picture.js";

const marked = (mark: number, ...content: readonly number[]): readonly number[] => {
  const length = content.length + 2;
  return [0xff, mark, length >> 8, length & 0xff, ...content];
};

/** The bytes of a JPEG picture, 8 by 6 pixels, as far as its parts go; `more` are further parts before its frame. */
export function jpegBytes(
  content: readonly number[],
  more: readonly number[] = [],
): Uint8Array<ArrayBuffer> {
  return new Uint8Array([
    ...[0xff, 0xd8],
    ...marked(0xe0, ...[..."JFIF"].map((sign) => sign.charCodeAt(0)), 0, 1, 1, 0, 0, 1, 0, 1, 0, 0),
    ...more,
    ...marked(0xdb, 0, ...content),
    ...marked(0xc0, 8, 0, 6, 0, 8, 1, 1, 0x11, 0),
    ...marked(0xc4, 0, 1),
    ...marked(0xda, 1, 1, 0, 0, 63, 0),
    ...[0x12, 0xff, 0x00, 0x34, 0xff, 0xd0, 0x56],
    ...[0xff, 0xd9],
  ]);
}

/** A part of a JPEG picture that tells where and with what it was taken. */
export const cameraPart = marked(0xe1, ...[..."Exif"].map((sign) => sign.charCodeAt(0)), 0, 0, 1);

/** A picture in this program's own form, each content another. */
export function pictureOf(keptAt: string, ...content: readonly number[]): StoredPicture {
  const bytes = jpegBytes(content);
  return { hash: hashOf(bytes), type: "image/jpeg", bytes, width: 8, height: 6, keptAt };
}
