/** So long is waited before a part that could not be loaded is asked for again, in milliseconds, each time. */
const PAUSES_MS = [250, 1500];

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Loads a part of the program, and asks again where that fails: the way to the server may fail for a moment, and the
 * browser may be changing from the server to what is installed. Fails as the last time where it cannot be had.
 */
export function again<Part>(load: () => Promise<Part>): () => Promise<Part> {
  return async () => {
    for (const ms of PAUSES_MS) {
      try {
        return await load();
      } catch {
        await pause(ms);
      }
    }
    return load();
  };
}
