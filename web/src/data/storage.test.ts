import { acceptsAsBookStorage } from "../../test/storageAcceptance.js";
import { DexieStorage } from "./dexieStorage.js";
import { MemoryStorage } from "./memoryStorage.js";

acceptsAsBookStorage("memory", () => Promise.resolve(new MemoryStorage()));

let count = 0;
acceptsAsBookStorage("the database", () => {
  count += 1;
  return Promise.resolve(new DexieStorage(`test-book-${count}`));
});
