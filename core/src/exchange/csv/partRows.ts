import type { Part, Price } from "../../book/records/part.js";
import type { CsvCells } from "./csvCells.js";
import { joinWords } from "./csvCells.js";
import { cellsOf, saidOnly, type CsvRows, type CsvSaid, type CsvShape } from "./csvShape.js";

function priceOf(cells: CsvCells): Price | null {
  const price = cells.figure("price");
  const on = cells.date("on");
  const source = cells.word("source");
  if (price === null) {
    // A price that cannot be read has been noted.
    const isSaid = cells.word("price") === null && (source ?? cells.word("on")) !== null;
    return isSaid ? cells.refuse("price", "the price there, or neither source nor day") : null;
  }
  if (source === null) return cells.refuse("source", "where it costs that much");
  return { source, price, ...(on === null ? {} : { on }) };
}

function read(rows: CsvRows, before: Part | null): CsvSaid {
  const [cells] = rows;
  const said = rows.flatMap((row) => priceOf(row) ?? []);
  const sources = new Set(said.map(({ source }) => source));
  const kept = (before?.prices ?? []).filter(({ source }) => !sources.has(source));
  // A table that names all sources has them in its own order, the same source perhaps twice.
  const prices = kept.length === 0 ? said : pricesInOrder(before?.prices ?? [], [...kept, ...said]);
  const fields = {
    name: cells.needed("name", "what the part is"),
    number: cells.needed("number", "the part's number"),
    kind: cells.text("kind"),
    equivalents: cells.words("equivalents"),
    supersededBy: cells.text("supersededBy"),
    pack: cells.figure("pack"),
    note: cells.text("note"),
    prices: said.length === 0 ? null : prices,
  };
  return { fields: saidOnly(fields), doubts: [] };
}

/** Prices in the order the book has their sources in, new ones last. */
function pricesInOrder(before: readonly Price[], prices: readonly Price[]): readonly Price[] {
  const placeOf = (price: Price): number => {
    const place = before.findIndex(({ source }) => source === price.source);
    return place === -1 ? before.length : place;
  };
  return prices.toSorted((one, other) => placeOf(one) - placeOf(other));
}

/** Parts in a table: a row each price, one where there is none. */
export const PART_ROWS: CsvShape<"parts"> = {
  columnOf: { prices: "price" },
  ofEachRow: new Set(["source", "price", "on"]),
  groupOf: (cells) => {
    const number = cells.word("number");
    return number === null ? null : JSON.stringify([number.toLowerCase(), cells.word("name")]);
  },
  read: (rows, _names, before) => read(rows, before),
  likeness: ({ number }) => String(number).trim().toLowerCase(),
  write: (part) => {
    const own = {
      name: part.name,
      number: part.number,
      kind: part.kind,
      equivalents: joinWords(part.equivalents ?? []),
      supersededBy: part.supersededBy,
      pack: part.pack,
      note: part.note,
    };
    const prices: readonly (Price | null)[] =
      (part.prices ?? []).length === 0 ? [null] : (part.prices ?? []);
    return prices.map((price, index) =>
      cellsOf({
        ...(index === 0 ? own : { name: part.name, number: part.number }),
        ...{ source: price?.source, price: price?.price, on: price?.on },
        id: part.id,
      }),
    );
  },
};
