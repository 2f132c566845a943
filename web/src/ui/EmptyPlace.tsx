import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON } from "./buttons.js";

/** What belongs in a place of a book without machines, and the one way to begin. */
export function EmptyPlace({ words }: { readonly words: string }): ReactElement {
  return (
    <div className="max-w-[68ch] space-y-4 py-8">
      <p>{words}</p>
      <Link to="/yard/new" className={PRIMARY_BUTTON}>
        <Plus size={20} aria-hidden="true" />
        Add the first machine
      </Link>
    </div>
  );
}
