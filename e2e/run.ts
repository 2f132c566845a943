import { spawn } from "node:child_process";
import { createRequire } from "node:module";
import { fileURLToPath } from "node:url";
import { servingAt, startServing } from "./application.js";
import { sharing, startBrowser } from "./browser.js";

/** Runs the tests of the real interface: one server for all files and a browser for each worker, a profile a file. */
const JEST = createRequire(import.meta.url).resolve("jest/bin/jest");
const CONFIG = fileURLToPath(new URL("jest.config.mjs", import.meta.url));
const WORKERS = 2;

const serving = await startServing();
const browsers = await Promise.all(Array.from({ length: WORKERS }, startBrowser));
const child = spawn(
  process.execPath,
  [
    ...["--experimental-vm-modules", "--no-warnings", JEST, "--config", CONFIG],
    ...["--maxWorkers", String(WORKERS), ...process.argv.slice(2)],
  ],
  {
    stdio: "inherit",
    env: {
      ...process.env,
      ...servingAt(serving.address),
      ...sharing(browsers.map(({ browser }) => browser)),
    },
  },
);
for (const signal of ["SIGINT", "SIGTERM"] as const) {
  process.on(signal, () => child.kill("SIGTERM"));
}
child.on("exit", (code) => {
  void Promise.all([serving.stop(), ...browsers.map(({ end }) => end())]).then(() =>
    process.exit(code ?? 1),
  );
});
