import { parseArgs } from "node:util";
import { isLoopback, LOOPBACK } from "./serve.js";

/** Where to listen. */
export interface Listening {
  readonly port: number;
  readonly host: string;
  /** Whether the root address opens the demonstration book. */
  readonly opensDemonstration: boolean;
}

const DEFAULT_PORT = 4780;
const MOST_PORT = 65535;

/** Where to listen, from the command line (`--port`, `--host`, `--demonstration`) and the variable PORT; throws in words what is wrong with it. */
export function listeningOf(args: readonly string[], portVariable: string | undefined): Listening {
  const { values } = parseArgs({
    args: [...args],
    options: {
      port: { type: "string" },
      host: { type: "string" },
      demonstration: { type: "boolean" },
    },
  });
  const text = values.port ?? portVariable ?? String(DEFAULT_PORT);
  const port = /^\d+$/.test(text) ? Number(text) : Number.NaN;
  if (!(port <= MOST_PORT)) {
    throw new Error(`"${text}" is no port; give a whole number up to ${MOST_PORT}`);
  }
  const opensDemonstration = values.demonstration ?? false;
  return { port, host: values.host ?? LOOPBACK, opensDemonstration };
}

/** What to say to someone who opens the server to more than this machine; null where it stays on it. */
export function warningFor({ host }: Pick<Listening, "host">): string | null {
  return isLoopback(host)
    ? null
    : `Warning: at ${host} every device that reaches this machine can open the application, without a password and without encryption. Books stay in each device's own browser. Leave --host out to keep it on this machine.`;
}
