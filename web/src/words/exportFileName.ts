const UNSAFE = /[^\p{L}\p{N}]+/gu;

/** The name of a book's file: `Skarrow-Vale-2026-11-23.yonderfell.json`, or `.zip` where it holds pictures. */
export function exportFileName(bookName: string, date: string, isZip = false): string {
  const safe = bookName.replace(UNSAFE, "-").replace(/^-|-$/g, "");
  return `${safe === "" ? "book" : safe}-${date}.yonderfell.${isZip ? "zip" : "json"}`;
}
