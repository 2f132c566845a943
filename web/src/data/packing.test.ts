import type { MachineId, RecordOf } from "@yonderfell/core";
import { assert as holds, array, boolean, nat, property, tuple } from "fast-check";
import { unpacked, type Page } from "./page.js";
import { PackedSection, pagesOf } from "./packing.js";

const VAN = "van" as MachineId;
const MOST = 256;

const task = (id: number, name: string): RecordOf["tasks"] =>
  ({ id: `t${id}`, machine: VAN, name }) as unknown as RecordOf["tasks"];

/** Pages as a database keeps them: by their number. */
class Stored {
  private readonly pages = new Map<number, Page>();

  get all(): Page[] {
    return [...this.pages.values()];
  }

  write(pack: PackedSection): number {
    for (const page of pack.changed) this.pages.set(page.page, page);
    for (const [, , page] of pack.emptied) this.pages.delete(page);
    return pack.changed.length + pack.emptied.length;
  }
}

test("whatever is put and taken, the pages hold what a list would, in its order", () => {
  const steps = array(array(tuple(nat(400), boolean()), { maxLength: 60 }), { maxLength: 12 });
  holds(
    property(steps, (changes) => {
      const stored = new Stored();
      const list = new Map<string, RecordOf["tasks"]>();
      let place = -1;
      for (const [round, some] of changes.entries()) {
        const pack = new PackedSection(VAN, "tasks", stored.all);
        for (const [id, isPut] of some) {
          const record = task(id, `round ${round}`);
          if (isPut) {
            pack.put(record, () => (place += 1));
            list.set(record.id, record);
          } else {
            expect(pack.take(record.id) === null).toBe(!list.delete(record.id));
          }
        }
        stored.write(pack);
        expect(unpacked(stored.all).map(([, record]) => record)).toEqual([...list.values()]);
        for (const { text, count } of stored.all) {
          expect(JSON.parse(text)).toHaveLength(count);
          expect(count).toBeLessThanOrEqual(MOST);
        }
      }
    }),
  );
});

test("a change to one record of many writes one page", () => {
  const held = Array.from({ length: 1000 }, (_, place) => [place, task(place, "old")] as const);
  const stored = new Stored();
  const pages = pagesOf(VAN, "tasks", held);
  expect(pages).toHaveLength(Math.ceil(held.length / MOST));
  const pack = new PackedSection(VAN, "tasks", pages);
  pack.put(task(300, "new"), () => 0);
  expect(stored.write(pack)).toBe(1);
  expect(stored.all[0]).toMatchObject({ page: 1, count: MOST });
  expect(unpacked(stored.all).find(([place]) => place === 300)?.[1]).toMatchObject({ name: "new" });
});

test("a page says what it is looked up by: the latest of its entries, and the shared records referred to", () => {
  const entry = (id: string, date: string): RecordOf["entries"] =>
    ({ id, machine: VAN, date }) as unknown as RecordOf["entries"];
  const dated = [entry("a", "2026-03-01"), entry("b", "2026-11-02"), entry("c", "2025-12-31")];
  const entries = dated.map((record, place) => [place, record] as const);
  expect(pagesOf(VAN, "entries", entries)).toMatchObject([{ newest: "2026-11-02", count: 3 }]);
  const fitment = { id: "f", machine: VAN, part: "p1" } as unknown as RecordOf["fitments"];
  const [page] = pagesOf(VAN, "fitments", [[0, fitment]]);
  expect(page).toMatchObject({ refers: ["parts p1"] });
  expect(page).not.toHaveProperty("newest");
});
