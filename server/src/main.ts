import { fileURLToPath } from "node:url";
import { listeningOf, warningFor, type Listening } from "./options.js";
import { serve } from "./serve.js";

const webFolder = fileURLToPath(new URL("../../web/dist", import.meta.url));

async function start(listening: Listening): Promise<void> {
  const { port, host, opensDemonstration, secure } = listening;
  const serving = await serve({ webFolder, opensDemonstration }, port, host, undefined, secure);
  const warning = warningFor(listening);
  if (warning !== null) console.warn(warning);
  console.log(
    `Yonderfell is at ${serving.address}${opensDemonstration ? "demonstration" : ""} (Ctrl+C stops it).`,
  );
  const stop = (): void => {
    void serving.stop().then(() => process.exit(0));
  };
  process.once("SIGINT", stop);
  process.once("SIGTERM", stop);
}

function sayWhy(error: unknown, port: number | null): void {
  const isTaken = error instanceof Error && "code" in error && error.code === "EADDRINUSE";
  const reason = error instanceof Error ? error.message : String(error);
  console.error(
    isTaken && port !== null
      ? `Port ${port} is taken by another program. Choose another: PORT=${port + 1} and the same command`
      : `The server could not start: ${reason}`,
  );
  process.exitCode = 1;
}

let port: number | null = null;
try {
  const listening = listeningOf(process.argv.slice(2), process.env["PORT"]);
  port = listening.port;
  await start(listening);
} catch (error) {
  sayWhy(error, port);
}
