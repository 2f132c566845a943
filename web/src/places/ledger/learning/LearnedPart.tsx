import type { ReactElement, ReactNode } from "react";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";

/** A part of what a machine teaches, with its table to take away, or why there is none. */
export function LearnedPart({
  id,
  title,
  none,
  file,
  children,
}: {
  readonly id: string;
  readonly title: string;
  /** What is said where there is nothing; null where there is something. */
  readonly none: string | null;
  readonly file: () => string[][];
  readonly children: ReactNode;
}): ReactElement {
  const hand = useTableFile();
  return (
    <section aria-labelledby={id} className="mt-8">
      <div className="mb-1 flex flex-wrap items-center gap-x-5 gap-y-2">
        <h2 id={id} className="text-large font-bold">
          {title}
        </h2>
        {none === null ? (
          <TableButton onPress={() => hand(title.toLowerCase(), file())} />
        ) : (
          <p className="text-quiet">{none}</p>
        )}
      </div>
      {none === null && children}
    </section>
  );
}
