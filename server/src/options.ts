import { parseArgs } from "node:util";
import { isLoopback, LOOPBACK } from "./serve.js";

/** Where to listen. */
export interface Listening {
  readonly port: number;
  readonly host: string;
  /** Whether the root address opens the demonstration book. */
  readonly opensDemonstration: boolean;
  /** The files of a certificate and its key: it then serves over https. Null without. */
  readonly secure: { readonly cert: string; readonly key: string } | null;
}

const DEFAULT_PORT = 4780;
const MOST_PORT = 65535;

/** Where to listen, from the command line (`--port`, `--host`, `--demonstration`, `--cert` with `--key`) and the variable PORT; throws in words what is wrong with it. */
export function listeningOf(args: readonly string[], portVariable: string | undefined): Listening {
  const { values } = parseArgs({
    args: [...args],
    options: {
      port: { type: "string" },
      host: { type: "string" },
      demonstration: { type: "boolean" },
      cert: { type: "string" },
      key: { type: "string" },
    },
  });
  const text = values.port ?? portVariable ?? String(DEFAULT_PORT);
  const port = /^\d+$/.test(text) ? Number(text) : Number.NaN;
  if (!(port <= MOST_PORT)) {
    throw new Error(`"${text}" is no port; give a whole number up to ${MOST_PORT}`);
  }
  const { cert, key } = values;
  if ((cert === undefined) !== (key === undefined)) {
    throw new Error("a certificate goes with its key: give both --cert FILE and --key FILE");
  }
  const opensDemonstration = values.demonstration ?? false;
  const secure = cert === undefined || key === undefined ? null : { cert, key };
  return { port, host: values.host ?? LOOPBACK, opensDemonstration, secure };
}

/** What to say to someone who opens the server to more than this machine; null where it stays on it. */
export function warningFor({ host, secure }: Pick<Listening, "host" | "secure">): string | null {
  if (isLoopback(host)) return null;
  const plain =
    secure === null
      ? " and without encryption: a phone cannot install it or keep its screen on so; see --cert in the guide"
      : "";
  return `Warning: at ${host} every device that reaches this machine can open the application, without a password${plain}. Books stay in each device's own browser. Leave --host out to keep it on this machine.`;
}
