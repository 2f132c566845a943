import type { Book } from "../../book/file/book.js";
import type { Reading } from "../../book/records/reading.js";

type Figure = Pick<Reading, "machine" | "meter" | "date" | "value">;

const keyOf = ({ machine, meter, date, value }: Figure): string =>
  JSON.stringify([machine, meter, date, value]);

/** The dial figures a book has, in readings and in entries: the same figure is not brought in twice. */
export class KnownFigures {
  private known: ReadonlySet<string> | null = null;

  constructor(private readonly book: Pick<Book, "readings" | "entries">) {}

  has(figure: Figure): boolean {
    this.known ??= this.all();
    return this.known.has(keyOf(figure));
  }

  private all(): ReadonlySet<string> {
    const { readings = [], entries = [] } = this.book;
    const inEntries = entries.flatMap(({ machine, date, meters }) =>
      Object.entries(meters ?? {}).map(([meter, value]) =>
        keyOf({ machine, meter: meter as Figure["meter"], date, value }),
      ),
    );
    return new Set([...readings.map(keyOf), ...inEntries]);
  }
}
