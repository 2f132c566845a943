import { bookOf, read, VAN, type BookParts } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import { keepRecord } from "../book/change/keepRecord.js";
import { readBookData } from "../book/file/readBook.js";
import type { MachineId, MeterId, PlaceId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import type { Place } from "../book/records/workshop.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf } from "../calendar/dayNumber.js";
import { addMachine, namingIssues, type NewMachine } from "./addMachine.js";
import { currentStop, releaseForService, takeOutOfService } from "./outOfService.js";
import {
  addMeter,
  believeMeter,
  changeMeter,
  guessChange,
  stopMeter,
} from "../meter/changeMeter.js";
import { meterReckoningOf } from "../meter/settleFigure.js";

const TODAY = dayOf("2026-03-01");
const ODO = "odo" as MeterId;
const van = VAN as unknown as Machine;

function context(): CommandContext {
  let count = 100;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

function vanBook(parts: BookParts = {}): MachineBook {
  const book = machineBookOf(bookOf(parts), "van" as MachineId);
  if (book === null) throw new Error("the book has a van");
  return book;
}

const codeOf = <Issue extends { readonly code: string }>(result: CommandResult<Issue>): string =>
  result.ok ? "done" : (result.issues[0]?.code ?? "no issue");

/** The book after a command, which must have been done. */
function after<Issue>(book: MachineBook, result: CommandResult<Issue>): MachineBook {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return applyChange(book, result.value);
}

describe("adding a machine", () => {
  const facts = { tag: " 22 ", name: "Post van", kind: "van" };
  const fluid = {
    system: "brakes",
    kind: "brake fluid" as const,
    capacities: [
      {
        source: "handbook",
        condition: "dry" as const,
        quantity: { value: 0.9, unit: "L" as const },
      },
    ],
  };
  const input: NewMachine = {
    facts,
    meters: [
      { name: "odometer", unit: "km", figure: 120 },
      { name: "hours", unit: "h", figure: null },
    ],
    fluids: [fluid],
  };

  test("adds it with its meters, what they show today, and its fluids, and the book stays sound", () => {
    const result = addMachine({ machines: [van] }, input, context());
    if (!result.ok) throw new Error("nothing is wrong with it");
    const book = applyChange(bookOf({}), result.value);
    expect(readBookData(JSON.parse(JSON.stringify(book))).ok).toBe(true);
    expect(book.machines?.[1]).toMatchObject({
      tag: "22",
      meters: [{ unit: "km" }, { unit: "h" }],
    });
    expect(book.readings).toMatchObject([{ value: 120, date: "2026-03-01" }]);
    expect(book.fluids).toMatchObject([{ system: "brakes", capacities: [{ condition: "dry" }] }]);
  });

  test.each<[string, Partial<NewMachine["facts"]>, string]>([
    ["no number", { tag: " " }, "tag-missing"],
    ["a number another machine has, however it is written", { tag: "v1" }, "tag-taken"],
    ["no name", { name: "" }, "name-missing"],
    ["no kind", { kind: "" }, "kind-missing"],
  ])("%s is refused", (_name, wrong, code) => {
    const changed = { ...input, facts: { ...facts, ...wrong } };
    expect(codeOf(addMachine({ machines: [van] }, changed, context()))).toBe(code);
  });

  test("a figure that is none is refused", () => {
    const meters = [{ name: "odometer", unit: "km" as const, figure: Number.NaN }];
    const result = addMachine({ machines: [] }, { ...input, meters }, context());
    expect(codeOf(result)).toBe("figure-not-a-number");
  });

  test("a machine may keep its own number", () => {
    expect(namingIssues(van, [van], van.id)).toEqual([]);
  });
});

describe("out of service", () => {
  const stop = { since: dayOf("2026-02-20"), reason: "brake line corroded", by: "E. Thwaite" };
  const release = { on: TODAY, by: "J. Rigg", done: "line renewed, bled" };

  test("it stays so until a named person releases it with what was done", () => {
    const stopped = after(vanBook(), takeOutOfService(vanBook(), stop, context()));
    expect(currentStop(stopped.machines[0])).toMatchObject({
      since: "2026-02-20",
      by: "E. Thwaite",
    });
    const released = after(stopped, releaseForService(stopped, release, context()));
    expect(currentStop(released.machines[0])).toBeNull();
    expect(released.machines[0].stops).toMatchObject([{ released: { by: "J. Rigg" } }]);
    const again = after(released, takeOutOfService(released, stop, context()));
    expect(again.machines[0].stops).toHaveLength(2);
  });

  test.each([
    ["no reason", { reason: " " }, "reason-missing"],
    ["no name", { by: "" }, "name-missing"],
    ["a day to come", { since: dayOf("2026-03-02") }, "day-in-future"],
  ])("%s is refused", (_name, wrong, code) => {
    expect(codeOf(takeOutOfService(vanBook(), { ...stop, ...wrong }, context()))).toBe(code);
  });

  test.each([
    ["no name", { by: "" }, "name-missing"],
    ["nothing said of what was done", { done: "" }, "done-missing"],
    ["a day to come", { on: dayOf("2026-03-02") }, "day-in-future"],
    ["a day before it stopped", { on: dayOf("2026-02-19") }, "before-it-stopped"],
  ])("a release with %s is refused", (_name, wrong, code) => {
    const stopped = after(vanBook(), takeOutOfService(vanBook(), stop, context()));
    expect(codeOf(releaseForService(stopped, { ...release, ...wrong }, context()))).toBe(code);
  });

  test("a second stop and a release of what runs are refused", () => {
    const stopped = after(vanBook(), takeOutOfService(vanBook(), stop, context()));
    expect(codeOf(takeOutOfService(stopped, stop, context()))).toBe("out-of-service-already");
    expect(codeOf(releaseForService(vanBook(), release, context()))).toBe("in-service-already");
  });
});

describe("meters", () => {
  const READ = [
    read("2026-01-01", 1000, { seq: 1 }),
    read("2026-01-31", 1300, { seq: 2 }),
    read("2026-02-10", 1400, { seq: 3 }),
  ];
  const change = { meter: ODO, oldFinal: 1400, newStart: 0, lost: 0, note: "" };

  test("a meter is added, but not two of one name", () => {
    const added = after(
      vanBook(),
      addMeter(vanBook(), { name: "pump hours", unit: "h" }, context()),
    );
    expect(added.machines[0].meters?.[1]).toMatchObject({ measure: "hours", name: "pump hours" });
    expect(codeOf(addMeter(added, { name: "Pump hours", unit: "h" }, context()))).toBe(
      "name-taken",
    );
    expect(codeOf(addMeter(added, { name: " ", unit: "h" }, context()))).toBe("name-missing");
  });

  test("a replaced meter counts on from its new dial", () => {
    const book = vanBook({ readings: READ });
    const changed = after(
      book,
      changeMeter(book, { ...change, day: dayOf("2026-02-10") }, context()),
    );
    const reckoning = meterReckoningOf(changed, ODO, dayOf("2026-02-10"));
    expect(reckoning).toMatchObject({ life: 1400, dial: 0 });
  });

  test.each([
    ["a day to come", { day: dayOf("2026-03-02") }, "day-in-future"],
    ["a figure that is none", { day: TODAY, lost: Number.NaN }, "figure-not-a-number"],
    [
      "an old dial that ended below what it had shown",
      { day: dayOf("2026-02-11"), oldFinal: 900 },
      "figures-would-not-agree",
    ],
    ["no such meter", { day: TODAY, meter: "x" as MeterId }, "meter-not-found"],
  ])("%s is refused", (_name, wrong, code) => {
    const book = vanBook({ readings: READ });
    expect(codeOf(changeMeter(book, { ...change, ...wrong }, context()))).toBe(code);
  });

  test("two changes on one day are refused", () => {
    const book = vanBook({ readings: READ });
    const input = { ...change, day: dayOf("2026-02-10") };
    const changed = after(book, changeMeter(book, input, context()));
    expect(codeOf(changeMeter(changed, input, context()))).toBe("changed-that-day");
  });

  test("a meter that stood still is repaired with what was run meanwhile, as reckoned", () => {
    const book = vanBook({ readings: READ });
    const since = dayOf("2026-02-10");
    const stopped = after(book, stopMeter(book, { meter: ODO, since }, context()));
    const reckoning = meterReckoningOf(stopped, ODO, TODAY);
    if (reckoning === null) throw new Error("the van has the meter");
    const guess = guessChange(reckoning, dayOf("2026-02-25"));
    expect(guess?.oldFinal).toBe(1400);
    expect(guess?.newStart).toBe(1400);
    expect(guess?.lost).toBeCloseTo(150);
    const input = { ...change, ...guess, day: dayOf("2026-02-25") };
    const repaired = after(stopped, changeMeter(stopped, input, context()));
    const running = meterReckoningOf(repaired, ODO, dayOf("2026-02-25"));
    expect(running?.stoppedOn).toBeNull();
    expect(running?.life).toBeCloseTo(1550);
    expect(running?.dial).toBeCloseTo(1400);
  });

  test("a stop is said once, and taken back once", () => {
    const book = vanBook({ readings: READ });
    const input = { meter: ODO, since: TODAY };
    const stopped = after(book, stopMeter(book, input, context()));
    expect(codeOf(stopMeter(stopped, input, context()))).toBe("stopped-already");
    const believed = after(stopped, believeMeter(stopped, ODO, context()));
    expect(meterReckoningOf(believed, ODO, TODAY)?.stoppedOn).toBeNull();
    expect(codeOf(believeMeter(believed, ODO, context()))).toBe("not-stopped");
  });

  test("a meter that runs is guessed to be replaced where it is reckoned to stand", () => {
    const reckoning = meterReckoningOf(vanBook({ readings: READ }), ODO, TODAY);
    if (reckoning === null) throw new Error("the van has the meter");
    expect(guessChange(reckoning, dayOf("2026-02-20"))).toMatchObject({ newStart: 0, lost: 0 });
    expect(guessChange(reckoning, dayOf("2026-02-20"))?.oldFinal).toBeCloseTo(1500);
    expect(guessChange(reckoning, dayOf("2025-02-20"))).toBeNull();
  });
});

describe("keeping a record", () => {
  const shed: Place = { id: "shed" as PlaceId, name: "Shed" };

  test("is a change that adds, edits or takes out", () => {
    const commands = [
      keepRecord([], "places", null, shed),
      keepRecord([shed], "places", shed, { ...shed, name: "Long shed" }),
      keepRecord([shed], "places", shed, null),
    ].map((result) => (result.ok ? result.value.command : "refused"));
    expect(commands).toEqual(["add-record", "edit-record", "remove-record"]);
  });

  test("is refused where the record no longer stands as it was seen, is gone, or has come meanwhile", () => {
    const elsewhere = {
      ok: false,
      issues: [{ code: "changed-elsewhere", section: "places", id: shed.id }],
    };
    const renamed = { ...shed, name: "Long shed" };
    expect(keepRecord([renamed], "places", shed, { ...shed, note: "x" })).toEqual(elsewhere);
    expect(keepRecord([], "places", shed, null)).toEqual(elsewhere);
    expect(keepRecord([renamed], "places", null, shed)).toEqual(elsewhere);
  });

  test("is refused where the book would not read it again", () => {
    expect(keepRecord([shed], "places", shed, { ...shed, name: "" })).toMatchObject({
      ok: false,
      issues: [{ path: ["name"], expected: "text of at least one character" }],
    });
  });
});
