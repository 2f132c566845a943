import type { Alone } from "../src/data/trace/bookTrace.js";
import type { TraceFolder, TraceRoot } from "../src/data/trace/traceFolder.js";

type Files = Map<string, Uint8Array<ArrayBuffer>>;

/** The power fails while something is written. */
export class PowerCut extends Error {}

/** Folders of traces in memory, on a disk that can be cut short. */
export class MemoryTraces implements TraceRoot {
  readonly held = new Map<string, Files>();
  /** How many writes still go well; the one after them is cut short, and all later ones fail. */
  writesLeft = Infinity;
  /** What every write says from now on, where the disk refuses. */
  refusal: Error | null = null;

  folders = (): Promise<readonly string[]> => Promise.resolve([...this.held.keys()]);

  drop = (name: string): Promise<void> => Promise.resolve(void this.held.delete(name));

  folder = (name: string): Promise<TraceFolder> => {
    const files = this.held.get(name) ?? (new Map() as Files);
    this.held.set(name, files);
    return Promise.resolve({
      names: () => Promise.resolve([...files.keys()]),
      read: (file) => Promise.resolve(files.get(file)?.slice() ?? null),
      size: (file) => Promise.resolve(files.get(file)?.length ?? null),
      write: (file, bytes, from) => this.write(files, file, bytes, from),
      remove: (file) => this.touched(() => void files.delete(file)),
    });
  };

  private async write(files: Files, file: string, bytes: Uint8Array, from: number): Promise<void> {
    const before = files.get(file) ?? new Uint8Array();
    const put = (length: number): void => {
      const after = new Uint8Array(from + length);
      after.set(before.subarray(0, from));
      after.set(bytes.subarray(0, length), from);
      files.set(file, after);
    };
    if (this.refusal === null && this.writesLeft === 0) put(Math.floor(bytes.length / 2));
    return this.touched(() => put(bytes.length));
  }

  private async touched(run: () => void): Promise<void> {
    if (this.refusal !== null) throw this.refusal;
    this.writesLeft -= 1;
    if (this.writesLeft < 0) throw new PowerCut();
    run();
    return Promise.resolve();
  }
}

/** One at a time, for all that are given it. */
export function memoryLocks(): Alone {
  const last = new Map<string, Promise<unknown>>();
  return (what, run) => {
    const before = last.get(what) ?? Promise.resolve();
    const now = before.then(run);
    last.set(
      what,
      now.catch(() => undefined),
    );
    return now;
  };
}
