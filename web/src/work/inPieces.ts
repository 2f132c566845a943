import type { KeeperMessage } from "./messages.js";

/** An update of many machines as messages of so many machines each, at least one. */
export function inPieces<Update extends { readonly machines: readonly unknown[] }>(
  update: Update,
  machinesEach: number,
): KeeperMessage<Update>[] {
  const { machines } = update;
  const pieces: KeeperMessage<Update>[] = [];
  for (let from = 0; from === 0 || from < machines.length; from += machinesEach) {
    const piece = { ...update, machines: machines.slice(from, from + machinesEach) };
    pieces.push({ code: "piece", update: piece, isLast: from + machinesEach >= machines.length });
  }
  return pieces;
}
