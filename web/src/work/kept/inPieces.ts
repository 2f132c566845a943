/** A part of an update; the last one ends it. */
export interface Piece<Update> {
  readonly update: Update;
  readonly isLast: boolean;
}

/** An update of many machines as pieces of so many machines each, at least one. */
export function inPieces<Update extends { readonly machines: readonly unknown[] }>(
  update: Update,
  machinesEach: number,
): Piece<Update>[] {
  const { machines } = update;
  const pieces: Piece<Update>[] = [];
  for (let from = 0; from === 0 || from < machines.length; from += machinesEach) {
    const piece = { ...update, machines: machines.slice(from, from + machinesEach) };
    pieces.push({ update: piece, isLast: from + machinesEach >= machines.length });
  }
  return pieces;
}
