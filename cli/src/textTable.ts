/** The lines of a table: titles, a rule, and rows, each column as wide as its widest cell. */
export function textTable(
  titles: readonly string[],
  rows: readonly (readonly string[])[],
): string[] {
  const widths = titles.map((title, column) =>
    rows.reduce((widest, row) => Math.max(widest, (row[column] ?? "").length), title.length),
  );
  const rule = widths.map((width) => "-".repeat(width));
  return [titles, rule, ...rows].map((cells) =>
    cells
      .map((cell, column) => cell.padEnd(widths[column] ?? 0))
      .join("  ")
      .trimEnd(),
  );
}
