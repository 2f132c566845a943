import { Plus } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";

/** A list of the page with the way to add to it. */
export function Section({
  title,
  action,
  empty,
  aside,
  onAdd,
  children,
}: {
  readonly title: string;
  readonly action: string;
  readonly empty: string;
  /** Another way to add. */
  readonly aside?: ReactNode;
  readonly onAdd: () => void;
  readonly children: readonly ReactNode[];
}): ReactElement {
  return (
    <section aria-labelledby={title} className="mb-8 max-w-[72rem]">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id={title} className="mr-auto text-large font-bold">
          {title}
        </h2>
        <button type="button" className={QUIET_BUTTON} onClick={onAdd}>
          <Plus size={18} aria-hidden="true" />
          {action}
        </button>
        {aside}
      </div>
      {children.length === 0 && <p className="border-t border-hairline py-3 text-quiet">{empty}</p>}
      <ul>{children}</ul>
    </section>
  );
}

/** A record of a list. */
export function Row({
  cells: [mark = "", name = "", hours = "", more = "", note = ""],
  onEdit,
}: {
  readonly cells: readonly string[];
  readonly onEdit: () => void;
}): ReactElement {
  return (
    <li className="grid items-center gap-x-6 border-t border-hairline py-1 lg:grid-cols-[3.5rem_16rem_8rem_10rem_1fr_3.5rem]">
      <span className="font-mono font-bold">{mark}</span>
      <span className="font-medium">{name}</span>
      <span className="tabular-nums">{hours}</span>
      <span className="tabular-nums">{more}</span>
      <span className="text-quiet">{note}</span>
      <button
        type="button"
        aria-label={`Edit ${name}`}
        className="min-h-11 justify-self-start text-clear hover:underline"
        onClick={onEdit}
      >
        Edit
      </button>
    </li>
  );
}
