import { useCallback, useEffect, useState } from "react";
import { z } from "zod";

/** What the plug reads at a moment, as it is told; its form is that of docs/formats/stand-ins.md. */
const readingSchema = z.looseObject({
  temperature: z.number(),
  revolutions: z.number(),
  volts: z.number(),
  codes: z.array(z.string()),
});
type PlugReading = z.infer<typeof readingSchema>;

/** What the plug reads, with when that was, milliseconds. */
export interface PlugReadAt extends PlugReading {
  readonly at: number;
}

/** A diagnostic plug in a machine: not asked for, being reached, read, or not there. */
export type PlugState = "off" | "reaching" | "live" | "absent";

/** A diagnostic plug, as far as it is known on this page. */
export interface Plug {
  readonly state: PlugState;
  /** What was read in the last minutes, oldest first. */
  readonly readings: readonly PlugReadAt[];
  readonly connect: () => void;
  readonly leave: () => void;
}

const ADDRESS = "/stand-ins/plug";
/** So many readings are kept: three minutes of them. */
const MOST = 180;

function readingOf(data: unknown): PlugReading | null {
  if (typeof data !== "string") return null;
  try {
    const read = readingSchema.safeParse(JSON.parse(data));
    return read.success ? read.data : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}

/** The diagnostic plug: reached when it is asked for, left with the page; where it does not answer it is absent until it is asked for again. */
export function usePlug(): Plug {
  const [isWanted, setIsWanted] = useState(false);
  const [state, setState] = useState<PlugState>("off");
  const [readings, setReadings] = useState<readonly PlugReadAt[]>([]);
  useEffect(() => {
    if (!isWanted) return;
    const source = new EventSource(ADDRESS);
    source.addEventListener("reading", ({ data }: MessageEvent<unknown>) => {
      const read = readingOf(data);
      if (read === null) return;
      setState("live");
      setReadings((known) => [...known.slice(1 - MOST), { ...read, at: Date.now() }]);
    });
    source.addEventListener("error", () => {
      source.close();
      setState("absent");
      setIsWanted(false);
    });
    return () => source.close();
  }, [isWanted]);
  const connect = useCallback(() => {
    setState("reaching");
    setIsWanted(true);
  }, []);
  const leave = useCallback(() => {
    setIsWanted(false);
    setState("off");
  }, []);
  return { state, readings, connect, leave };
}
