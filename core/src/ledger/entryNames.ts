import type { Book } from "../book/file/book.js";

/** Names by id. */
export type Known = ReadonlyMap<string, string>;

/** What the ids in some entries stand for; one that the book does not know is not in it. */
export interface EntryNames {
  readonly task: Known;
  readonly part: Known;
  readonly product: Known;
  readonly fluid: Known;
  readonly person: Known;
}

/** The sections that names are read from. */
type NamedBook = Pick<Book, "tasks" | "parts" | "products" | "fluids" | "people">;

/** The names of a book that entries ask for. */
export const entryNames = ({ tasks, parts, products, fluids, people }: NamedBook): EntryNames => ({
  task: new Map((tasks ?? []).map(({ id, name }) => [id, name])),
  part: new Map((parts ?? []).map(({ id, number, name }) => [id, `${number} ${name}`])),
  product: new Map((products ?? []).map(({ id, name }) => [id, name])),
  fluid: new Map((fluids ?? []).map(({ id, system }) => [id, system])),
  person: new Map((people ?? []).map(({ id, name }) => [id, name])),
});

/** A name; the id itself where the book does not know it. */
export const nameIn = (known: Known, id: string): string => known.get(id) ?? id;
