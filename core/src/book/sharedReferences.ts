import type { RecordOf } from "./book.js";
import type { IssuePath } from "./issue.js";
import type { Section, SharedSection } from "./sections.js";

/** A record of a shared section that another record refers to. */
export interface SharedReference {
  readonly section: SharedSection;
  readonly id: string;
  /** Where in the record it stands. */
  readonly path: IssuePath;
}

type Refers<S extends Section> = (record: RecordOf[S]) => readonly SharedReference[];

const NONE: readonly SharedReference[] = [];

function one(
  section: SharedSection,
  id: string | null | undefined,
  ...path: string[]
): readonly SharedReference[] {
  return (id ?? null) === null ? NONE : [{ section, id: id as string, path }];
}

const REFERS: { readonly [S in Section]?: Refers<S> } = {
  machines: ({ place, person }) => [
    ...one("places", place, "place"),
    ...one("people", person, "person"),
  ],
  fluids: (fluid) => one("products", fluid.product, "product"),
  fitments: (fitment) => one("parts", fitment.part, "part"),
  bays: (bay) => one("places", bay.place, "place"),
};

/** The shared records that a record refers to: where it lives, who looks after it, which product is in it, which part it is. */
export function sharedReferences<S extends Section>(
  section: S,
  record: RecordOf[S],
): readonly SharedReference[] {
  return REFERS[section]?.(record) ?? NONE;
}
