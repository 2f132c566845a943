const UNSAFE = /[^\p{L}\p{N}]+/gu;

/** The name of a book's file: `Skarrow-Vale-2026-11-23.yonderfell.json`, or `.zip` where it holds pictures. */
export function exportFileName(bookName: string, date: string, isZip = false): string {
  return `${safeName(bookName)}-${date}.yonderfell.${isZip ? "zip" : "json"}`;
}

/** The name of a table of a book: `Skarrow-Vale-readings-2026-11-23.csv`. */
export function tableFileName(bookName: string, kind: string, date: string): string {
  return `${safeName(bookName)}-${kind}-${date}.csv`;
}

function safeName(bookName: string): string {
  const safe = bookName.replace(UNSAFE, "-").replace(/^-|-$/g, "");
  return safe === "" ? "book" : safe;
}
