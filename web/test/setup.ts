import "fake-indexeddb/auto";
import { cloneDeep } from "es-toolkit";
import { TextDecoder, TextEncoder } from "node:util";

// The simulated page lacks what every browser has.
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder as typeof globalThis.TextDecoder;
globalThis.structuredClone ??= cloneDeep;
