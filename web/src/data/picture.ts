/** A picture as it is stored: scaled, encoded anew, named by the hash of its bytes. */
export interface StoredPicture {
  /** SHA-256 of `bytes`, in hexadecimal. */
  readonly hash: string;
  /** Its media type, such as `image/jpeg`. */
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** In pixels; 0 where not known. */
  readonly width: number;
  readonly height: number;
  /** When it was kept, as an ISO instant. */
  readonly keptAt: string;
}
