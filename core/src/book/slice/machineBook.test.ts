import { bookOf, done, read, task, VAN } from "../../../test/books.js";
import type { MachineId } from "../records/ids.js";
import { machineBookOf, machineBooksOf } from "./machineBook.js";

const BUS = { ...VAN, id: "bus", tag: "B1" };

test("the parts of all machines in one pass are those of each by itself, also where work was logged on the wrong one", () => {
  const book = bookOf({
    machines: [VAN, BUS, { ...VAN, id: "cart", tag: "C1" }],
    tasks: [
      task("oil", [{ meter: "odo", every: 10, for: ["mineral"] }], { uses: [{ fluid: "f" }] }),
      task("wash", [{ days: 3 }], { machine: "bus" }),
    ],
    readings: [
      read("2026-01-02", 20, { machine: "bus" }),
      read("2026-01-01", 10),
      read("2026-01-03", 30, { id: "right", machine: "bus", replaces: "r-2026-01-01-10" }),
      read("2026-01-04", 40),
    ],
    entries: [done("e1", "2026-01-01", ["oil"]), done("e2", "2026-01-02", [], { machine: "bus" })],
    fluids: [{ id: "f", machine: "van", product: "p" }],
    products: [{ id: "p" }, { id: "q" }],
  });
  const ids = ["van", "bus", "cart"] as unknown as MachineId[];
  expect(machineBooksOf(book)).toEqual(ids.map((id) => machineBookOf(book, id)));
  expect(machineBooksOf(book)[2]?.readings).toHaveLength(2);
  expect(machineBooksOf(book)[0]).toMatchObject({ fluids: [{ id: "f" }], products: [{ id: "p" }] });
});
