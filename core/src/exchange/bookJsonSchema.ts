import { z } from "zod";
import { bookSchema } from "../book/file/book.js";
import { BOOK_VERSION } from "../book/records/sections.js";

/**
 * The JSON Schema (draft 2020-12) of the book file, made from the schemas that check it. It tells
 * shapes; what holds between fields and between records (due rules §1: a limit by meter or by
 * calendar, references, ids, orders) only reading a book tells.
 */
export function bookJsonSchema(): Readonly<Record<string, unknown>> {
  const schema = z.toJSONSchema(bookSchema, { io: "input", reused: "inline" });
  return {
    ...schema,
    $id: `yonderfell-book-${BOOK_VERSION}.schema.json`,
    title: `Yonderfell book, version ${BOOK_VERSION}`,
  };
}
