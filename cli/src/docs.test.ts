import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, relative, resolve } from "node:path";
import { dayOf, PROGRAM, readBook } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { parse, type ParseError } from "jsonc-parser";
import { run } from "./run.js";

/** What the documents say is tried out: each command, each example, each way to another page. */
const ROOT = resolve(__dirname, "../..");

const pagesIn = (folder: string): string[] =>
  readdirSync(join(ROOT, folder))
    .filter((name) => name.endsWith(".md"))
    .map((name) => join(folder, name));

const PAGES = ["", "docs", "docs/formats", "docs/decisions"].flatMap(pagesIn);
const textOf = (page: string): string => readFileSync(join(ROOT, page), "utf8");

/** The parts of a page that are set off as code of a language. */
const codeIn = (page: string, language: string): string[] =>
  [...textOf(page).matchAll(new RegExp(`^\`\`\`${language}\\n([\\s\\S]*?)^\`\`\``, "gm"))].map(
    (found) => found[1] ?? "",
  );

const FILE = join(mkdtempSync(join(tmpdir(), "yonderfell-docs-")), "book.yonderfell.json");
writeFileSync(FILE, JSON.stringify(demonstrationBook(dayOf("2026-11-23"))));

const JOB = join(dirname(FILE), "job.json");
const WORKED = join(ROOT, "core/test/vectors/jobs/02-put-down-half-way.json");
writeFileSync(JOB, JSON.stringify((JSON.parse(readFileSync(WORKED, "utf8")) as { in: object }).in));
/** What stands for a file in the documents, and the file. */
const fileFor = (word: string): string => {
  if (!word.endsWith(".json")) return word;
  return word === "JOB.json" ? JOB : FILE;
};

const MANIFEST = JSON.parse(readFileSync(join(ROOT, "package.json"), "utf8")) as {
  readonly version: string;
  readonly scripts: Readonly<Record<string, string>>;
};

/** Lines of commands, without what is said of them. */
const COMMANDS = PAGES.flatMap((page) =>
  codeIn(page, "sh")
    .flatMap((code) => code.split("\n"))
    .map((line) => line.replace(/#.*/, "").trim())
    .filter((line) => line !== "")
    .map((line) => ({ page, line })),
);

test("the documents hold commands and examples to try", () => {
  expect(COMMANDS.length).toBeGreaterThan(4);
  expect(PAGES.length).toBeGreaterThan(20);
});

test.each(COMMANDS)("$page: `$line` is something npm knows", ({ line }) => {
  const [, name] = /^(?:echo '[^']*' \| )?npm (?:run (?:-s )?)?([a-z]+)/.exec(line) ?? [];
  expect(Object.keys(MANIFEST.scripts)).toContain(name);
});

test.each(COMMANDS.filter(({ line }) => line.includes("yonderfell --")))(
  "$page: `$line` does what it says",
  ({ line }) => {
    const [before = "", given = ""] = line.split(" yonderfell -- ");
    const [, piped = ""] = /^echo '([^']*)' \|/.exec(before) ?? [];
    const words = given.split(" ").map(fileFor);
    const { status, output, complaint } = run(words, dayOf("2026-11-23"), () => piped);
    expect({ status, complaint }).toEqual({ status: 0, complaint: "" });
    expect(output.length).toBeGreaterThan(50);
  },
);

test("the command line is come to as the guide says", () => {
  const ran = spawnSync("npm", ["run", "-s", "yonderfell", "--", "check", FILE], {
    cwd: ROOT,
    encoding: "utf8",
  });
  expect(ran.stdout).toContain("15 machines");
  expect(ran.status).toBe(0);
});

const NAMED = PAGES.flatMap((page) =>
  [...textOf(page).matchAll(/`npm (?:run (?:-s )?)?([a-z]+)`/g)].map((found) => ({
    page,
    name: found[1] ?? "",
  })),
);

test.each(NAMED)("$page: npm knows $name", ({ name }) => {
  expect(["start", "test", ...Object.keys(MANIFEST.scripts)]).toContain(name);
});

const EXAMPLES = PAGES.flatMap((page) =>
  [...codeIn(page, "jsonc"), ...codeIn(page, "json")].map((text, place) => ({ page, place, text })),
);

/** An example without what stands for more of the same. */
const whole = (text: string): string => text.replaceAll(/,\s*…/g, "");

test.each(EXAMPLES)("$page: example $place can be read", ({ text }) => {
  const errors: ParseError[] = [];
  parse(whole(text), errors);
  expect(errors).toEqual([]);
});

test("the book of the due rules is a sound book", () => {
  const [example = ""] = codeIn("docs/due-rules.md", "jsonc");
  const read = readBook(JSON.stringify(parse(example)));
  expect(read.ok ? [] : read.issues).toEqual([]);
});

/** The ways into something by its fields; those of a list are those of its first. */
function waysIn(value: unknown, at = ""): string[] {
  if (Array.isArray(value)) return value.flatMap((one) => waysIn(one, `${at}[]`));
  if (typeof value !== "object" || value === null) return [at];
  return Object.entries(value).flatMap(([key, one]) => [
    `${at}.${key}`,
    ...waysIn(one, `${at}.${key}`),
  ]);
}

test("the due list of the due rules has the fields of a due list", () => {
  const [, example = ""] = codeIn("docs/due-rules.md", "jsonc");
  const { output } = run(["due", FILE, "--on", "2026-11-23", "--json"], dayOf("2026-11-23"));
  const known = new Set(waysIn(JSON.parse(output)));
  const shown = waysIn(parse(whole(example)));
  expect(shown.length).toBeGreaterThan(20);
  expect(shown.filter((way) => !known.has(way))).toEqual([]);
});

const LINKS = PAGES.flatMap((page) =>
  [...textOf(page).matchAll(/\]\(([^)#:]+)(#[^)]*)?\)/g)].map((found) => ({
    page,
    to: found[1] ?? "",
  })),
);

test("every way to another page or picture leads somewhere", () => {
  expect(LINKS.length).toBeGreaterThan(50);
  const lost = LINKS.filter(({ page, to }) => !existsSync(join(ROOT, dirname(page), to)));
  expect(lost).toEqual([]);
});

test("every decision stands in their list, and every picture in the README", () => {
  const decisions = textOf("docs/decisions/README.md");
  const missing = pagesIn("docs/decisions")
    .map((page) => relative("docs/decisions", page))
    .filter((name) => name !== "README.md" && !decisions.includes(name));
  expect(missing).toEqual([]);
  const shots = readdirSync(join(ROOT, "docs/screenshots"));
  expect(shots.filter((name) => !textOf("README.md").includes(`screenshots/${name}`))).toEqual([]);
});

test("a table of the documents is not broken off by an empty line", () => {
  const broken = PAGES.filter((page) => /^\|.*\|\n\n\|(?!.*\|\n\|-)/m.test(textOf(page)));
  expect(broken).toEqual([]);
});

test("the version is the same everywhere, and the newest that has something told of it", () => {
  expect(PROGRAM.version).toBe(MANIFEST.version);
  const [, newest] = /^## (\d+\.\d+\.\d+)$/m.exec(textOf("CHANGELOG.md")) ?? [];
  expect(newest).toBe(PROGRAM.version);
});
