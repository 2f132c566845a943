import {
  hashOf,
  issueRecord,
  makeRecord,
  picturesOfRecord,
  RECORD_FILE,
  RECORD_TABLE,
  recordRows,
  recordText,
  warrantyTurns,
  type MachineId,
  type RecordAsked,
  type RecordContent,
  type RecordedSections,
  type ServiceRecord,
  type WarrantyTurn,
} from "@yonderfell/core";
import { expose } from "comlink";
import { strToU8, zipSync, type Zippable } from "fflate";
import type { BookStorage } from "../data/bookStorage.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { withStorage } from "../data/withStorage.js";
import { pictureFileName } from "./bookZip.js";
import { textOfGuarded } from "./csvText.js";

const inBook = <Answer>(
  database: string,
  ask: (storage: BookStorage) => Promise<Answer>,
): Promise<Answer> => withStorage((name) => new DexieStorage(name), database, ask);

const tableOf = (content: RecordContent): string => textOfGuarded(recordRows(content));

const OWN = [
  ...(["tasks", "entries", "readings", "meterChanges", "rounds"] as const),
  ...(["findings", "fluids", "samples"] as const),
] as const;

/** What of a book the records of one machine are made from. */
async function sectionsOf(storage: BookStorage, machine: MachineId): Promise<RecordedSections> {
  const [own, machines, people, checklists, parts, products, settings] = await Promise.all([
    storage.ofMachine(machine, OWN),
    storage.list("machines"),
    storage.list("people"),
    storage.list("checklists"),
    storage.list("parts"),
    storage.list("products"),
    storage.ownSettings(),
  ]);
  const shared = { people, checklists, parts, products, settings };
  return {
    ...own,
    ...shared,
    machines: machines.filter(({ id }) => id === machine),
  };
}

/** The service record of a machine as it is issued; null where the book has no such machine. */
function issued(database: string, asked: RecordAsked): Promise<ServiceRecord | null> {
  return inBook(database, async (storage) => {
    const content = makeRecord(await sectionsOf(storage, asked.machine), asked);
    return content === null ? null : issueRecord(content, hashOf(strToU8(tableOf(content))));
  });
}

/** The turns of a machine's tasks as a warranty asks for them; null where the book has no such machine. */
function turns(
  database: string,
  asked: Omit<RecordAsked, "book">,
): Promise<readonly WarrantyTurn[] | null> {
  return inBook(database, async (storage) =>
    warrantyTurns(await sectionsOf(storage, asked.machine), asked),
  );
}

/** A record as one file, and how many of its pictures are not in this copy of the book. */
export interface RecordZip {
  readonly file: Blob;
  readonly missing: number;
}

/** A record in one zip, with its table and pictures; `onPicture` is told from 0 to 1 as they are packed. */
function zipped(
  database: string,
  record: ServiceRecord,
  onPicture: (share: number) => void,
): Promise<RecordZip> {
  return inBook(database, async (storage) => {
    const files: Zippable = {
      [RECORD_FILE]: strToU8(recordText(record)),
      [RECORD_TABLE]: strToU8(tableOf(record)),
    };
    const pictures = picturesOfRecord(record);
    let [done, missing] = [0, 0];
    for (const { hash } of pictures) {
      const stored = await storage.picture(hash);
      if (stored === null) missing += 1;
      // Pictures are packed already.
      else files[pictureFileName(stored)] = [new Uint8Array(stored.bytes), { level: 0 }];
      onPicture((done += 1) / pictures.length);
    }
    return { file: new Blob([zipSync(files)], { type: "application/zip" }), missing };
  });
}

const records = { issued, turns, zipped };

export type RecordWork = typeof records;

expose(records);
