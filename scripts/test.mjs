import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureChromium, ensurePackages, run, runQuietly } from "./setup.mjs";

const SLOWEST = 10;
const folder = mkdtempSync(join(tmpdir(), "yonderfell-tests-"));
const TEST_TIMES = join(folder, "times.jsonl");
writeFileSync(TEST_TIMES, "");

/** What days depend on where the program runs: all unit tests run on one side of the date line, these again on the other. */
const DATED = [
  ...["core/src/calendar", "core/src/exchange/csv", "core/src/ledger", "web/src/session"],
  ...["web/src/words", "web/src/places/ahead/takeAway", "web/src/places/ahead/today"],
];
/** Room for what lives shortly: with the usual 16 MB a tenth of the time goes to clearing it away. */
const NODE_OPTIONS = [process.env["NODE_OPTIONS"], "--max-semi-space-size=64"].join(" ").trim();
const npm = (script, more, ...args) => [
  "npm",
  ["run", "-s", script, ...(args.length > 0 ? ["--", ...args] : [])],
  { TEST_TIMES, NODE_OPTIONS, ...more },
];
const inZone = (TZ) => [`zone ${TZ}`, npm("unit", { TZ }, "--silent", ...DATED)];

/** Two lanes that run side by side, about as long as each other: a machine has two processors or more. */
const LANES = [
  [["unit tests", npm("unit", { TZ: "Pacific/Auckland" })]],
  [
    ["types", npm("typecheck")],
    ["lint", npm("lint")],
    ["build", npm("build")],
    inZone("America/Los_Angeles"),
  ],
];

const started = performance.now();
const since = (from) => `${((performance.now() - from) / 1000).toFixed(1)} s`;

function end(code) {
  rmSync(folder, { recursive: true });
  process.exit(code);
}

function failed(name, from) {
  console.error(`\n${name}: failed after ${since(from)}`);
  end(1);
}

const failures = [];

/** Runs a stage; what it prints is shown whole once it has ended, of one that failed at the very end. */
async function stage([name, [command, args, more]]) {
  const from = performance.now();
  const { isWell, output } = await runQuietly(command, args, more);
  const shown = `\n=== ${name}\n${output}--- ${name}: ${since(from)}`;
  if (isWell) console.log(shown);
  else failures.push({ name, shown });
}

/** Runs stages one after the other, until one of this lane or of another has failed. */
async function lane(stages) {
  for (const one of stages) if (failures.length === 0) await stage(one);
}

function showSlowest() {
  const lines = readFileSync(TEST_TIMES, "utf8").split("\n");
  const times = lines.filter((line) => line !== "").map((line) => JSON.parse(line));
  times.sort((one, other) => other.seconds - one.seconds);
  console.log(`\nThe ${SLOWEST} slowest test files:`);
  for (const { name, seconds } of times.slice(0, SLOWEST)) {
    console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`);
  }
}

if (!ensurePackages()) failed("packages", started);
if (!ensureChromium()) failed("browser", started);
console.log(`--- packages and browser: ${since(started)}`);
await Promise.all(LANES.map(lane));
if (failures.length > 0) {
  // Last, where it is read: what went well prints a lot.
  for (const { shown } of failures) console.log(shown);
  failed(failures.map(({ name }) => name).join(", "), started);
}
console.log("\n=== real interface");
const from = performance.now();
const isWell = run(...npm("e2e"));
showSlowest();
if (!isWell) failed("real interface", from);
console.log(`\nReal interface: ${since(from)}. All of it: ${since(started)}.`);
end(0);
