import "fake-indexeddb/auto";
import { TextDecoder, TextEncoder } from "node:util";

// The simulated page lacks what every browser has.
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder as typeof globalThis.TextDecoder;
