import { keepsBesideRecords } from "../../test/besideAcceptance.js";
import { performsCommands } from "../../test/commandAcceptance.js";
import { acceptsAsBookStorage } from "../../test/storageAcceptance.js";
import { DexieStorage } from "./dexieStorage.js";
import { MemoryStorage } from "../../test/memoryStorage.js";

const inMemory = () => Promise.resolve(new MemoryStorage());
acceptsAsBookStorage("memory", inMemory);
performsCommands("memory", inMemory);
keepsBesideRecords("memory", inMemory);

let count = 0;
const inDatabase = () => {
  count += 1;
  return Promise.resolve(new DexieStorage(`test-book-${count}`));
};
acceptsAsBookStorage("the database", inDatabase);
performsCommands("the database", inDatabase);
keepsBesideRecords("the database", inDatabase);
