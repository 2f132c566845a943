import { ensureChromium, ensurePackages, run } from "./setup.mjs";

const npm = (script) => () => run("npm", ["run", "-s", script]);

const STAGES = [
  ["packages", ensurePackages],
  ["browser", ensureChromium],
  ["types", npm("typecheck")],
  ["lint", npm("lint")],
  ["unit tests", npm("unit")],
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
