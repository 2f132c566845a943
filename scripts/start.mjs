import { spawn } from "node:child_process";
import { ensurePackages, ROOT, run } from "./setup.mjs";

if (!ensurePackages() || !run("npm", ["run", "-s", "build"])) {
  console.error("The program could not be built; what went wrong stands above.");
  process.exit(1);
}
const server = spawn(
  process.execPath,
  ["--import", "tsx", "server/src/main.ts", ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: "inherit",
  },
);
// The server stops itself on these; this process waits for it, so that nothing is left behind.
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill("SIGTERM"));
// When npm itself is ended, its shell goes without telling: this process then has another parent.
const LOOK_EVERY_MS = 500;
const parent = process.ppid;
setInterval(() => {
  if (process.ppid !== parent) server.kill("SIGTERM");
}, LOOK_EVERY_MS).unref();
server.on("exit", (code) => process.exit(code ?? 0));
