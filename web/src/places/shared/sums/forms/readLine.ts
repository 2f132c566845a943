import { typedNumber } from "../../../../words/writing.js";

/** Figures at the start of a line, so many that must be there; null where one is none or is missing. */
function figuresIn(words: readonly string[], least: number): number[] | null {
  const figures = words.map(typedNumber);
  const known = figures.filter((one) => one !== null);
  return known.length < figures.length || known.length < least ? null : known;
}

/** A line of two figures: `52000 6.1`. */
export function pairOf(one: string, other: string): (words: readonly string[]) => object | null {
  return (words) => {
    const figures = words.length === 2 ? figuresIn(words, 2) : null;
    return figures === null ? null : { [one]: figures[0], [other]: figures[1] };
  };
}

/** A pack: its size, its price, and how many can be had where that is not any number. */
export function packOf(words: readonly string[]): object | null {
  const figures = words.length > 3 ? null : figuresIn(words, 2);
  if (figures === null) return null;
  const [size, price, available = null] = figures;
  return { size, price, available };
}

/** A figure, and words after it: an amount with who says so. */
export function saidOf(words: readonly string[]): object | null {
  const [first = "", ...rest] = words;
  const amount = typedNumber(first);
  return amount === null || rest.length === 0 ? null : { source: rest.join(" "), amount };
}

/** A fill: its amount, and `mark` where it ended on the mark. */
export function fillOf(words: readonly string[]): object | null {
  const [first = "", mark = "", ...rest] = words;
  const amount = typedNumber(first);
  const isMark = mark.toLowerCase() === "mark";
  return amount === null || rest.length > 0 || (mark !== "" && !isMark)
    ? null
    : { amount, onMark: isMark };
}

/** What something cost at a life; with `warranty` behind it, under warranty. */
export function costOf(words: readonly string[]): object | null {
  const [life, amount, word = ""] = words;
  const figures = figuresIn([life ?? "", amount ?? ""], 2);
  const isUnder = word.toLowerCase() === "warranty";
  if (figures === null || words.length > 3 || (word !== "" && !isUnder)) return null;
  return { life: figures[0], amount: figures[1], warranty: isUnder };
}

/** A name and a figure, which may have words before it: `iron 32`. */
export function namedFigure(words: readonly string[]): [string, number] | null {
  const value = typedNumber(words.at(-1) ?? "");
  return value === null || words.length < 2 ? null : [words.slice(0, -1).join(" "), value];
}

/** A name with a figure to watch from and one to stop at; a dash for one there is not: `iron 100 150`. */
export function namedLimits(words: readonly string[]): [string, object] | null {
  if (words.length < 3) return null;
  const [watch, stop] = words.slice(-2).map((word) => (word === "-" ? null : typedNumber(word)));
  const isKnown = words.slice(-2).every((word) => word === "-" || typedNumber(word) !== null);
  return isKnown ? [words.slice(0, -2).join(" "), { watch, stop }] : null;
}

/** An earlier sample: the life of its oil, then names and figures: `250 iron 30 copper 4`. */
export function earlierOf(words: readonly string[]): object | null {
  const [first = "", ...rest] = words;
  const oilLife = typedNumber(first);
  if (oilLife === null || rest.length === 0) return null;
  const values: Record<string, number> = {};
  let name: string[] = [];
  for (const word of rest) {
    const value = typedNumber(word);
    if (value === null) name.push(word);
    else if (name.length === 0) return null;
    else {
      values[name.join(" ")] = value;
      name = [];
    }
  }
  return name.length > 0 ? null : { oilLife, values };
}
