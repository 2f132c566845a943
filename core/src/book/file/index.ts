export type { Book } from "./book.js";
export { describeIssue } from "./describe.js";
export type { BookIssue } from "./issue.js";
export { numbered, recordCount, type Sections } from "./numbered.js";
export { type BookFile, readBook, readBookData, readBookFile } from "./readBook.js";
export { hashOf } from "./hashOf.js";
export { digestedWords, type Digested } from "./digests.js";
export { PROGRAM } from "./program.js";
export { bookFileText } from "./writeBook.js";
