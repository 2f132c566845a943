import { spawn, spawnSync } from "node:child_process";
import { existsSync, readFileSync, statSync } from "node:fs";
import { fileURLToPath } from "node:url";

/** The folder of the project. */
export const ROOT = fileURLToPath(new URL("..", import.meta.url));

/** Runs a command in the project with its output shown, `more` in its environment; answers whether it ended well. */
export function run(command, args, more = {}) {
  const env = { ...process.env, ...more };
  return spawnSync(command, args, { cwd: ROOT, stdio: "inherit", env }).status === 0;
}

/** Runs a command in the project beside others; answers whether it ended well, and all that it printed. */
export function runQuietly(command, args, more = {}) {
  const env = { ...process.env, ...more };
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, env });
    const printed = [];
    child.stdout.on("data", (chunk) => printed.push(chunk));
    child.stderr.on("data", (chunk) => printed.push(chunk));
    child.on("error", (error) => resolve({ isWell: false, output: `${error}\n` }));
    child.on("close", (code) =>
      resolve({ isWell: code === 0, output: Buffer.concat(printed).toString() }),
    );
  });
}

/** Whether what is installed is what the lock file asks for. */
function packagesAreCurrent() {
  const installed = `${ROOT}node_modules/.package-lock.json`;
  if (!existsSync(installed)) return false;
  const manifest = JSON.parse(readFileSync(`${ROOT}package.json`, "utf8"));
  const wanted = [
    "package.json",
    "package-lock.json",
    ...manifest.workspaces.map((name) => `${name}/package.json`),
  ];
  const since = statSync(installed).mtimeMs;
  return wanted.every((file) => statSync(`${ROOT}${file}`).mtimeMs <= since);
}

/** Installs the packages where they are missing or out of date. */
export function ensurePackages() {
  if (packagesAreCurrent()) return true;
  console.log("Installing packages; this takes a minute the first time.");
  // As the lock file says, which stays as it is.
  return run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
}

/** Where Chromium is, or null. */
export function findChromium() {
  const places = [process.env["CHROMIUM"], "/usr/bin/chromium", "/usr/bin/chromium-browser"];
  return places.find((place) => place !== undefined && existsSync(place)) ?? null;
}

/** Installs Chromium from Debian's packages where there is none. */
export function ensureChromium() {
  if (findChromium() !== null) return true;
  console.log("Installing Chromium from Debian's packages.");
  const isInstalled =
    run("apt-get", ["update", "-qq"]) &&
    run("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium"]);
  if (!isInstalled) {
    console.error(
      "Chromium could not be installed. Install it (Debian: apt-get install chromium) or set CHROMIUM to where it is.",
    );
  }
  return isInstalled;
}
