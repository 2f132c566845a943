import { noteOpened, type BookEntry } from "../data/registry.js";

/** Opens a book in this tab, from its beginning: nothing of the one before stays in memory. */
export async function goToBook(entry: BookEntry, path = "/ahead"): Promise<void> {
  await noteOpened(entry);
  window.location.assign(path);
}
