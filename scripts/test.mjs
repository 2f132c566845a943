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
for (const [name, stage] of STAGES) {
  console.log(`\n=== ${name}`);
  const started = performance.now();
  const isWell = stage();
  const seconds = ((performance.now() - started) / 1000).toFixed(1);
  times.push(`${name} ${seconds} s`);
  if (!isWell) {
    console.error(`\n${name}: failed after ${seconds} s`);
    process.exit(1);
  }
  // On standard error, so that the test runner's own summary closes standard output.
  console.error(`--- ${name}: ${seconds} s`);
}
console.error(`\nAll stages passed: ${times.join(", ")}.`);
