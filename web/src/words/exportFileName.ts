const UNSAFE = /[^\p{L}\p{N}]+/gu;

/** The name of a book's file: `Skarrow-Vale-2026-11-23.yonderfell.json`, or `.zip` where it holds pictures. */
export function exportFileName(bookName: string, date: string, isZip = false): string {
  return `${safeName(bookName)}-${date}.yonderfell.${isZip ? "zip" : "json"}`;
}

/** The name of a table of a book: `Skarrow-Vale-readings-2026-11-23.csv`. */
export function tableFileName(bookName: string, kind: string, date: string): string {
  return fileName(bookName, kind, date, "csv");
}

/** The name of any other file of a book: `Skarrow-Vale-calendar-2026-11-23.ics`. */
export function fileName(bookName: string, what: string, date: string, ending: string): string {
  return `${safeName(bookName)}-${what}-${date}.${ending}`;
}

function safeName(bookName: string): string {
  const safe = bookName.replace(UNSAFE, "-").replace(/^-|-$/g, "");
  return safe === "" ? "book" : safe;
}
