import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";

/** The SHA-256 of bytes, in hexadecimal. */
export function hashOf(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}
