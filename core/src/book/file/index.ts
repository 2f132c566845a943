export type { Book } from "./book.js";
export { describeIssue } from "./describe.js";
export type { BookIssue } from "./issue.js";
export { numbered, recordCount, type Sections } from "./numbered.js";
export { readBook, readBookData } from "./readBook.js";
