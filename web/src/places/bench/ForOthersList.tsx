import type { MadeCard } from "@yonderfell/core";
import type { ReactElement } from "react";
import type { WorkSource } from "../../session/useWorkSource.js";
import { BookWork } from "../shared/booking/BookWork.js";

/** Work of a card that is for others: why, what to tell them and what to ask for, and its booking. */
export function ForOthersList({
  card,
  source,
}: {
  readonly card: MadeCard;
  readonly source: WorkSource;
}): ReactElement | null {
  if (card.forOthers.length === 0) return null;
  const { machines, tasks } = source.book;
  return (
    <section>
      <h2 className="text-large font-bold">For others</h2>
      {card.forOthers.map(({ task, because, tell, ask }) => (
        <div key={task} className="space-y-2 border-t border-hairline pt-2">
          <p>
            <strong>{tasks.find(({ id }) => id === task)?.name ?? ""}</strong>{" "}
            <span className="text-quiet">{because}</span>
          </p>
          <BookWork
            machine={machines[0].id}
            tasks={[task]}
            findings={[]}
            tell={tell ?? ""}
            ask={ask ?? ""}
          />
        </div>
      ))}
    </section>
  );
}
