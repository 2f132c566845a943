import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { servingAt, startServing } from "./application.js";
import { notingCrashes, sharing, startBrowser } from "./browser.js";

/** Runs the tests of the real interface: one server for all files and a browser for each worker, a profile a file. */
const JEST = createRequire(import.meta.url).resolve("jest/bin/jest");
const CONFIG = fileURLToPath(new URL("jest.config.mjs", import.meta.url));
const WORKERS = 2;
/** So often a file is begun anew in which the browser itself crashed: it may do so twice in one file. */
const ANEW = 4;

/** What Jest writes of a run, as far as it is read here. */
interface Results {
  readonly testResults: readonly { readonly name: string; readonly status: string }[];
}

const serving = await startServing();
let running: ChildProcess | null = null;
for (const signal of ["SIGINT", "SIGTERM"] as const) {
  process.on(signal, () => running?.kill("SIGTERM"));
}

interface Ran {
  readonly code: number;
  /** The files that failed, and those of them in which the browser itself crashed. */
  readonly failed: readonly string[];
  readonly crashed: readonly string[];
}

/** Runs Jest with browsers of its own. */
async function run(args: readonly string[]): Promise<Ran> {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-e2e-"));
  const [results, crashes] = [join(folder, "results.json"), join(folder, "crashes")];
  writeFileSync(crashes, "");
  const browsers = await Promise.all(Array.from({ length: WORKERS }, startBrowser));
  const child = spawn(
    process.execPath,
    [
      ...["--experimental-vm-modules", "--no-warnings", JEST, "--config", CONFIG],
      ...["--maxWorkers", String(WORKERS), "--json", "--outputFile", results, ...args],
    ],
    {
      stdio: "inherit",
      env: {
        ...process.env,
        ...servingAt(serving.address),
        ...sharing(browsers.map(({ browser }) => browser)),
        ...notingCrashes(crashes),
      },
    },
  );
  running = child;
  const code = await new Promise<number>((resolve) => {
    child.on("exit", (status) => resolve(status ?? 1));
  });
  await Promise.all(browsers.map(({ end }) => end()));
  const read = (): Ran => {
    if (code === 0) return { code, failed: [], crashed: [] };
    const { testResults } = JSON.parse(readFileSync(results, "utf8")) as Results;
    const failed = testResults.filter(({ status }) => status !== "passed").map(({ name }) => name);
    const lost = new Set(readFileSync(crashes, "utf8").split("\n"));
    return { code, failed, crashed: failed.filter((name) => lost.has(name)) };
  };
  try {
    return read();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Runs the tests; files that failed are begun anew only where all of them failed because the browser itself crashed. */
async function runAll(): Promise<number> {
  let ran = await run(process.argv.slice(2));
  for (let anew = 0; anew < ANEW && ran.crashed.length > 0; anew += 1) {
    if (ran.crashed.length < ran.failed.length) return ran.code;
    console.log(`\nThe browser itself crashed; begun anew: ${ran.crashed.join(", ")}\n`);
    ran = await run(["--runTestsByPath", ...ran.crashed]);
  }
  return ran.code;
}

const code = await runAll().catch((error: unknown) => {
  console.error(error);
  return 1;
});
await serving.stop();
process.exit(code);
