type Dated = { readonly id: string; readonly date: string };
type Lists = Readonly<Record<string, readonly Dated[]>>;

const compare = (one: string, other: string): number => (one < other ? -1 : Number(one > other));

/** Lists of dated records, all numbered together in order of date, and each list in that order. */
export function numberedTogether<L extends Lists>(
  lists: L,
): { readonly [K in keyof L]: readonly (L[K][number] & { readonly seq: number })[] } {
  const sorted = Object.values(lists)
    .flat()
    .sort((one, other) => compare(one.date, other.date) || compare(one.id, other.id));
  const seqOf = new Map(sorted.map(({ id }, index) => [id, index + 1]));
  const numbered = Object.entries(lists).map(([section, records]) => [
    section,
    records
      .map((record) => ({ ...record, seq: seqOf.get(record.id) ?? 0 }))
      .sort((one, other) => one.seq - other.seq),
  ]);
  return Object.fromEntries(numbered) as {
    readonly [K in keyof L]: readonly (L[K][number] & { readonly seq: number })[];
  };
}
