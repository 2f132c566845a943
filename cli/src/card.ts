import { parseArgs } from "node:util";
import {
  cardFrom,
  makeCard,
  type Book,
  type CardLack,
  type DayNumber,
  type Machine,
  type MadeCard,
  type Task,
} from "@yonderfell/core";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";
import { textTable } from "./textTable.js";

/** What a card is made of. */
export interface CardAsked {
  readonly file: string;
  readonly machine: string;
  readonly tasks: readonly string[];
  readonly asJson: boolean;
}

/** What `card` was asked: the file of a book, a machine and its tasks. */
export function cardAsked(words: readonly string[]): CardAsked {
  const { values, positionals } = optionsIn(words);
  const [file, machine, ...tasks] = positionals;
  if (file === undefined)
    throw new Problem("card: expected the file of a book (see yonderfell help)");
  if (machine === undefined) throw new Problem("card: expected a machine, its number or its id");
  if (tasks.length === 0) throw new Problem("card: expected one task or more, by id or by name");
  return { file, machine, tasks, asJson: values.json };
}

function optionsIn(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { json: { type: "boolean", default: false } },
    });
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`card: ${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

function machineNamed(book: Book, word: string): Machine {
  const found = (book.machines ?? []).find(({ id, tag }) => id === word || tag === word);
  if (found === undefined) {
    throw new Problem(`card: the book has no machine ${JSON.stringify(word)}`);
  }
  return found;
}

function taskNamed(book: Book, machine: Machine, word: string): Task {
  const own = (book.tasks ?? []).filter((task) => task.machine === machine.id);
  const found = own.find(
    ({ id, name }) => id === word || name.toLowerCase() === word.toLowerCase(),
  );
  if (found !== undefined) return found;
  const known = own.map(({ name }) => name).join(", ");
  throw new Problem(
    `card: ${machine.tag} has no task ${JSON.stringify(word)} (it has ${known === "" ? "none" : known})`,
  );
}

/** Runs `card`: the card that would be made for tasks of a machine (job rules §1). */
export function card(asked: CardAsked, book: Book, today: DayNumber): string {
  const machine = machineNamed(book, asked.machine);
  const tasks = asked.tasks.map((word) => taskNamed(book, machine, word));
  const made = makeCard(tasks, cardFrom(book, machine, today));
  return asked.asJson ? JSON.stringify(made) : cardTable(made, machine, book);
}

function lackWords(lack: CardLack, book: Book): string {
  switch (lack.code) {
    case "system":
      return `no fluid system for ${(book.tasks ?? []).find(({ id }) => id === lack.task)?.name ?? lack.task}`;
    case "point":
      return `no ${lack.purpose} point of the ${lack.system}`;
    case "capacity":
      return `no capacity of the ${lack.system}`;
    case "product":
      return `no product of the ${lack.system}`;
    case "level":
      return `how the level of the ${lack.system} is read`;
    case "vessel":
      return `what the whole of the ${lack.system} holds`;
  }
}

const rounded = (value: number): string => String(Math.round(value * 100) / 100);

/** A card for people: its steps, what is laid out, what the plate lacks. */
function cardTable(made: MadeCard, machine: Machine, book: Book): string {
  const steps = made.steps.map(({ id, kind, name, points, expected }) => [
    ...[id, kind, name ?? ""],
    ...[(points ?? []).join(", "), expected ? `${rounded(expected)} L` : ""],
  ]);
  const parts = made.takes.parts.map(({ part, count }) => `${count} x ${part.number} ${part.name}`);
  const fluids = made.takes.fluids.map(({ fluid, product, amount }) =>
    [
      amount ? `${amount.value} ${amount.unit}` : "an amount not recorded",
      product?.name ?? fluid.system,
    ].join(" "),
  );
  const list = (title: string, lines: readonly string[]): string[] =>
    lines.length === 0 ? [] : ["", `${title}: ${lines.join("; ")}`];
  return [
    ...[`Card for ${machine.tag} ${machine.name}`, ""],
    ...textTable(["step", "kind", "what", "points", "expected"], steps),
    ...list("Laid out", [...fluids, ...parts]),
    ...list(
      "Too little on the shelf",
      made.short.map(
        ({ name, needed, onHand, unit }) =>
          `${name}, ${rounded(onHand)} of ${rounded(needed)} ${unit}`,
      ),
    ),
    ...list("Tools", made.tools),
    ...list("Drain pan", made.pan === null ? [] : [`${rounded(made.pan)} L at least`]),
    ...list(
      "For others",
      made.forOthers.map(({ task, because, tell, ask }) =>
        [task, because, tell ?? "", ask === null ? "" : `ask for: ${ask}`]
          .filter(Boolean)
          .join(", "),
      ),
    ),
    ...list(
      "Not on the plate",
      made.lacks.map((lack) => lackWords(lack, book)),
    ),
  ].join("\n");
}
