/* The Encoding Standard, as every place the core runs in has it: it asks nothing of the surroundings. */

declare class TextDecoder {
  constructor(label: string, options?: { readonly fatal?: boolean });
  decode(bytes: Uint8Array): string;
}

declare class TextEncoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}

/* ECMAScript 2024, which every place the core runs in has. */
interface String {
  isWellFormed(): boolean;
}
