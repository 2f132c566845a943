import { ensureChromium, ensurePackages, run } from "./setup.mjs";

const npm = (script) => () => run("npm", ["run", "-s", script]);

/** What days depend on where the program runs: tried again on both sides of the date line. */
const DATED = [
  ...["core/src/calendar", "core/src/exchange/csv", "core/src/ledger", "web/src/app"],
  ...["web/src/words", "web/src/places/ahead/takeAway", "web/src/places/ahead/today"],
];
const ZONES = ["America/Los_Angeles", "Pacific/Auckland"];
const inEachZone = () =>
  ZONES.every((TZ) => {
    console.log(`Zone ${TZ}`);
    return run("npm", ["run", "-s", "unit", "--", "--silent", ...DATED], {
      TZ,
    });
  });

const STAGES = [
  ["packages", ensurePackages],
  ["browser", ensureChromium],
  ["types", npm("typecheck")],
  ["lint", npm("lint")],
  ["unit tests", () => run("npm", ["run", "-s", "unit"], { TZ: "UTC" })],
  ["other time zones", inEachZone],
  ["build", npm("build")],
  ["real interface", npm("e2e")],
];

const times = [];
for (const [index, [name, stage]] of STAGES.entries()) {
  const isLast = index === STAGES.length - 1;
  if (isLast) console.log(`\nSo far: ${times.join(", ")}.`);
  console.log(`\n=== ${name}`);
  const started = performance.now();
  const isWell = stage();
  const seconds = ((performance.now() - started) / 1000).toFixed(1);
  times.push(`${name} ${seconds} s`);
  if (!isWell) {
    console.error(`\n${name}: failed after ${seconds} s`);
    process.exit(1);
  }
  // The last stage's time stands in the test runner's own summary, which closes the run.
  if (!isLast) console.log(`--- ${name}: ${seconds} s`);
}
