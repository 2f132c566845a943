import { fileURLToPath } from "node:url";
import { serve } from "./serve.js";

const DEFAULT_PORT = 4780;
const port = Number(process.env["PORT"] ?? DEFAULT_PORT);
const webFolder = fileURLToPath(new URL("../../web/dist", import.meta.url));

try {
  const serving = await serve({ webFolder, opensDemonstration: true }, port);
  console.log(`Yonderfell is at ${serving.address} (Ctrl+C stops it).`);
  const stop = (): void => {
    void serving.stop().then(() => process.exit(0));
  };
  process.once("SIGINT", stop);
  process.once("SIGTERM", stop);
} catch (error) {
  const isTaken = error instanceof Error && "code" in error && error.code === "EADDRINUSE";
  const reason = error instanceof Error ? error.message : String(error);
  console.error(
    isTaken
      ? `Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm run demo`
      : `The server could not start: ${reason}`,
  );
  process.exitCode = 1;
}
