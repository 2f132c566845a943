import type { Book } from "../../book/file/book.js";
import type { MachineId, PlaceId, TaskId } from "../../book/records/ids.js";
import type { Fluid } from "../../book/records/fluid.js";
import type { Machine, Meter } from "../../book/records/machine.js";
import type { Part } from "../../book/records/part.js";
import type { Product } from "../../book/records/product.js";
import type { Task } from "../../book/records/task.js";
import type { Person, Place } from "../../book/records/workshop.js";

/** What a task of the book or of the table is called. */
export type NamedTask = Pick<Task, "id" | "name" | "machine">;

/** What a name in a cell stands for: one thing, none, or several that it could be. */
export type Meant<Thing> =
  | { readonly code: "one"; readonly thing: Thing; readonly isAlike: boolean }
  | { readonly code: "none" }
  | { readonly code: "several" };

const plain = (text: string): string => text.trim().toLowerCase();
const NONE = { code: "none" } as const;

/** Things by what they are called. */
class Index<Thing> {
  private readonly byName = new Map<string, Thing[]>();

  add(name: string, thing: Thing): void {
    const known = this.byName.get(plain(name));
    if (known === undefined) this.byName.set(plain(name), [thing]);
    else known.push(thing);
  }

  find(name: string): Meant<Thing> {
    const [first, second] = this.byName.get(plain(name)) ?? [];
    if (first === undefined) return NONE;
    return second === undefined
      ? { code: "one", thing: first, isAlike: false }
      : { code: "several" };
  }
}

/** Things by their ids, else by what they are called. */
class Known<Thing extends { readonly id: string }> {
  private readonly byId = new Map<string, Thing>();
  private readonly byName = new Index<Thing>();

  constructor(private readonly calledBy: (thing: Thing) => string) {}

  add(thing: Thing, names: readonly string[]): void {
    this.byId.set(thing.id, thing);
    for (const name of names) this.byName.add(name, thing);
  }

  find(name: string): Meant<Thing> {
    const thing = this.byId.get(name);
    return thing === undefined ? this.byName.find(name) : { code: "one", thing, isAlike: false };
  }

  /** What it is called in a cell: its name where that is plain, else its id. */
  nameOf(id: string): string {
    const thing = this.byId.get(id);
    const name = thing === undefined ? id : this.calledBy(thing);
    const meant = this.find(name);
    return meant.code === "one" && meant.thing.id === id ? name : id;
  }
}

/** A registration without what is written between its parts. */
const plateOf = (text: string): string => text.replace(/[\s-]+/g, "");

/** How somebody of a name may sign: the first letters of its words, as `MT`; the name where it has none. */
export function initialsOf(name: string): string {
  const letters = name.match(/(?<![\p{L}\p{N}])[\p{L}\p{N}]/gu) ?? [];
  return letters.length === 0 ? name : letters.join("").toUpperCase();
}

/** A tag of digits without its leading zeros, as a spreadsheet leaves it. */
const asNumber = (tag: string): string | null =>
  /^\d+$/.test(tag.trim()) ? tag.trim().replace(/^0+(?=\d)/, "") : null;

/** The sections whose records a table can name. */
type NamedIn = Pick<
  Book,
  "machines" | "tasks" | "places" | "people" | "parts" | "products" | "fluids"
>;

/** What the names in a table stand for in a book. */
export class CsvNames {
  private readonly machinesById = new Map<string, Machine>();
  private readonly machinesByTag = new Index<Machine>();
  private readonly machinesByNumber = new Index<Machine>();
  private readonly tasksById = new Map<string, NamedTask>();
  private readonly tasksByMachine = new Map<string, Index<NamedTask>>();
  private readonly machinesByPlate = new Index<Machine>();
  private readonly places = new Known<Place>(({ name }) => name);
  private readonly people = new Known<Person>(({ name }) => name);
  private readonly parts = new Known<Part>(({ number }) => number);
  private readonly products = new Known<Product>(({ name }) => name);
  private readonly fluidsByMachine = new Map<string, Known<Fluid>>();

  constructor(book: NamedIn) {
    for (const machine of book.machines ?? []) {
      this.machinesById.set(machine.id, machine);
      this.machinesByTag.add(machine.tag, machine);
      const number = asNumber(machine.tag);
      if (number !== null) this.machinesByNumber.add(number, machine);
      const plate = plateOf(machine.registration ?? "");
      if (plate !== "") this.machinesByPlate.add(plate, machine);
    }
    for (const task of book.tasks ?? []) this.addTask(task);
    for (const place of book.places ?? []) this.places.add(place, [place.name]);
    for (const person of book.people ?? []) {
      this.people.add(person, [...new Set([person.name, person.initials])]);
    }
    for (const part of book.parts ?? []) this.parts.add(part, [part.number]);
    for (const product of book.products ?? []) this.products.add(product, [product.name]);
    for (const fluid of book.fluids ?? []) {
      const own = this.fluidsByMachine.get(fluid.machine) ?? new Known<Fluid>((one) => one.system);
      this.fluidsByMachine.set(fluid.machine, own);
      own.add(fluid, [fluid.system]);
    }
  }

  /** A task of the table, which other rows may name. */
  addTask(task: NamedTask): void {
    if (this.tasksById.has(task.id)) return;
    this.tasksById.set(task.id, task);
    const own = this.tasksByMachine.get(task.machine) ?? new Index<NamedTask>();
    own.add(task.name, task);
    this.tasksByMachine.set(task.machine, own);
  }

  machineOf(id: string): Machine | undefined {
    return this.machinesById.get(id);
  }

  /** The machine of a tag: as it is written, else as a registration, else as a number where both are one. */
  machine(tag: string): Meant<Machine> {
    const byTag = this.machinesByTag.find(tag);
    const meant = byTag.code === "none" ? this.machineOfPlate(tag) : byTag;
    const number = asNumber(tag);
    if (meant.code !== "none" || number === null) return meant;
    const alike = this.machinesByNumber.find(number);
    return alike.code === "one" ? { ...alike, isAlike: true } : alike;
  }

  /** The task of a machine by its id or its name. */
  task(machine: MachineId, name: string): Meant<NamedTask> {
    const byId = this.tasksById.get(name);
    if (byId?.machine === machine) return { code: "one", thing: byId, isAlike: false };
    return this.tasksByMachine.get(machine)?.find(name) ?? NONE;
  }

  /** The machine of a registration, spaces and hyphens in it aside. */
  machineOfPlate(text: string): Meant<Machine> {
    return this.machinesByPlate.find(plateOf(text));
  }

  place(name: string): Meant<Place> {
    return this.places.find(name);
  }

  /** The person of an id, a name or initials. */
  person(name: string): Meant<Person> {
    return this.people.find(name);
  }

  hasTask(machine: string, id: string): boolean {
    return this.tasksById.get(id)?.machine === machine;
  }

  /** What a task is called in a cell: its name where that is plain, else its id. */
  nameOfTask(machine: MachineId, id: TaskId): string {
    const name = this.tasksById.get(id)?.name ?? id;
    const meant = this.task(machine, name);
    const isPlain = meant.code === "one" && meant.thing.id === id && !/[;\r\n]/.test(name);
    return isPlain ? name : id;
  }

  nameOfPlace(id: PlaceId): string {
    return this.places.nameOf(id);
  }

  /** What a person is called; words that stand for one stay as they are. */
  nameOfPerson(id: string): string {
    return this.people.nameOf(id);
  }

  /** The part of an id or a number. */
  part(name: string): Meant<Part> {
    return this.parts.find(name);
  }

  nameOfPart(id: string): string {
    return this.parts.nameOf(id);
  }

  product(name: string): Meant<Product> {
    return this.products.find(name);
  }

  nameOfProduct(id: string): string {
    return this.products.nameOf(id);
  }

  /** The fluid of a machine by its id, or by where it is. */
  fluid(machine: MachineId, name: string): Meant<Fluid> {
    return this.fluidsByMachine.get(machine)?.find(name) ?? NONE;
  }

  nameOfFluid(machine: MachineId, id: string): string {
    return this.fluidsByMachine.get(machine)?.nameOf(id) ?? id;
  }
}

/** The meter of a machine by its id, its name or its unit; its first where nothing is said. */
export function meterNamed(machine: Machine, word: string | null): Meter | null {
  const meters = machine.meters ?? [];
  if (word === null) return meters[0] ?? null;
  const wanted = plain(word);
  return (
    meters.find(({ id }) => id === word) ??
    meters.find(({ name }) => name !== null && name !== undefined && plain(name) === wanted) ??
    meters.find(({ unit }) => unit === wanted) ??
    null
  );
}
