import type { Entry, Finding, Fluid, MachineId } from "@yonderfell/core";
import type { BookStorage } from "../data/bookStorage.js";
import { useLiveOf } from "../data/useLiveOf.js";
import { findingTitle } from "../words/findingWords.js";
import type { WorkNames } from "../words/workWords.js";
import { useBook } from "./openBook.js";

type Names = (id: string, unknown?: string) => string;

/** A way to names by id; one that is not known is told as it is, or by another word. */
function namesOf<T extends { readonly id: string }>(
  records: readonly T[],
  nameOf: (record: T) => string,
): Names {
  const names = new Map(records.map((record) => [record.id, nameOf(record)]));
  return (id, unknown = id) => names.get(id) ?? unknown;
}

/** Names as they were read, and for which machines. */
interface ReadNames extends WorkNames {
  readonly key: string;
  readonly fluid: Names;
  readonly finding: Names;
}

const machinesOf = (entries: readonly Entry[]): MachineId[] => [
  ...new Set(entries.map(({ machine }) => machine)),
];

/** The fluid systems of machines. */
async function fluidsOf(storage: BookStorage, machines: readonly MachineId[]): Promise<Fluid[]> {
  const plates = await Promise.all(machines.map((id) => storage.plate(id)));
  return plates.flatMap(({ fluids }) => fluids);
}

/** What was found on machines. */
async function findingsOf(
  storage: BookStorage,
  machines: readonly MachineId[],
): Promise<Finding[]> {
  const books = await Promise.all(machines.map((id) => storage.machineBook(id)));
  return books.flatMap((book) => book?.findings ?? []);
}

/** What the ids in some entries stand for, current as they change; undefined until read. Only the machines are read that are told of. `of` is whose log it is. */
export function useWorkNames(
  of: string,
  entries: readonly Entry[] | undefined,
): WorkNames | undefined {
  const { storage } = useBook();
  const told = entries ?? [];
  const filled = machinesOf(told.filter(({ fluids }) => (fluids ?? []).length > 0));
  const closing = machinesOf(told.filter(({ closes }) => (closes ?? []).length > 0));
  const key = JSON.stringify([filled, closing]);
  const read = async (): Promise<ReadNames> => {
    const [fluids, findings, products, parts, people, settings] = await Promise.all([
      fluidsOf(storage, filled),
      findingsOf(storage, closing),
      storage.list("products"),
      storage.list("parts"),
      storage.list("people"),
      storage.ownSettings(),
    ]);
    return {
      key,
      fluid: namesOf(fluids, ({ system }) => system),
      finding: namesOf(findings, findingTitle),
      product: namesOf(products, ({ name }) => name),
      part: namesOf(parts, ({ name, number }) => `${number} ${name}`),
      person: namesOf(people, ({ name }) => name),
      currency: settings?.currency ?? "",
    };
  };
  const found = useLiveOf(of, read, [storage, key]);
  if (found === undefined || found.key === key) return found;
  // Of machines that are just being read nothing is told by its id meanwhile.
  return {
    ...found,
    fluid: (id) => found.fluid(id, ""),
    finding: (id) => found.finding(id, "a finding"),
  };
}
