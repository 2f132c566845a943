import type { Book, Section } from "@yonderfell/core";
import type { BookStorage } from "./bookStorage.js";

/** Some sections of a book with its settings, as part of a book. */
export async function partOfBook<S extends Section>(
  storage: Pick<BookStorage, "list" | "ownSettings">,
  sections: readonly S[],
): Promise<Required<Pick<Book, S>> & Pick<Book, "settings">> {
  const read = await Promise.all(
    sections.map(async (section) => [section, await storage.list(section)] as const),
  );
  const settings = await storage.ownSettings();
  return { ...Object.fromEntries(read), settings } as unknown as Required<Pick<Book, S>> &
    Pick<Book, "settings">;
}
