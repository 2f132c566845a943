import type { MachineId } from "@yonderfell/core";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import type { WorkNames } from "../../words/workWords.js";

/** A way to names by id. */
function namesOf<T extends { readonly id: string }>(
  records: readonly T[],
  nameOf: (record: T) => string,
): (id: string) => string {
  const names = new Map(records.map((record) => [record.id, nameOf(record)]));
  return (id) => names.get(id) ?? id;
}

/** What the ids in the log of a machine stand for, current as they change; undefined until read. */
export function useWorkNames(id: MachineId): WorkNames | undefined {
  const { storage } = useBook();
  const read = async (): Promise<WorkNames> => {
    const [plate, products, parts, people, settings] = await Promise.all([
      storage.plate(id),
      storage.list("products"),
      storage.list("parts"),
      storage.list("people"),
      storage.ownSettings(),
    ]);
    return {
      fluid: namesOf(plate.fluids, ({ system }) => system),
      product: namesOf(products, ({ name }) => name),
      part: namesOf(parts, ({ name, number }) => `${number} ${name}`),
      person: namesOf(people, ({ name }) => name),
      currency: settings?.currency ?? "",
    };
  };
  return useLiveOf(id, read, [storage]);
}
