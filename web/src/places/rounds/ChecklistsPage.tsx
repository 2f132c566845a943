import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { counted } from "../../words/format.js";
import type { Checklist } from "@yonderfell/core";
import { howWords, placeWords } from "./roundWords.js";
import { RoundsFrame } from "./RoundsFrame.js";
import { useChecklists } from "./useRounds.js";

const pathOf = ({ id }: Checklist): string => `/rounds/checklists/${encodeURIComponent(id)}`;

/** Every checklist there is, those of the book first: what is looked at, in order, and what good looks like. */
export default function ChecklistsPage(): ReactElement {
  const all = useChecklists(null);
  const own = (all ?? []).filter(({ isKnown }) => isKnown);
  const library = (all ?? []).filter(({ isKnown }) => !isKnown);
  return (
    <RoundsFrame
      title="Checklists"
      aside={
        <Link to="/rounds/checklists/new" className={PRIMARY_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Make a checklist
        </Link>
      }
    >
      <p className="mb-3 text-quiet">
        A round begun by one of the library takes a copy of it into the book. Limits of a machine’s
        own plate go before those written here, and its handbook before both.{" "}
        <Link to="/rounds/new" className="text-clear underline">
          Begin a round
        </Link>
      </p>
      {own.length > 0 && <Lists title="In this book" lists={own.map((one) => one.checklist)} />}
      <Lists title="From the library" lists={library.map((one) => one.checklist)} />
    </RoundsFrame>
  );
}

function Lists({
  title,
  lists,
}: {
  readonly title: string;
  readonly lists: readonly Checklist[];
}): ReactElement {
  return (
    <section className="mt-4">
      <h2 className="text-large font-bold">{title}</h2>
      {lists.map((list) => (
        <details key={list.id} className="border-t border-hairline">
          <summary className="grid min-h-12 cursor-pointer items-center gap-x-6 py-1.5 hover:bg-wash sm:grid-cols-[minmax(0,1fr)_16rem_8rem]">
            <strong className="font-semibold">{list.name}</strong>
            <span className="text-quiet">{list.when}</span>
            <span className="text-quiet">{counted((list.checks ?? []).length, "check")}</span>
          </summary>
          <div className="flex flex-wrap gap-3 py-2">
            <Link to={pathOf(list)} className={QUIET_BUTTON}>
              Change
              <span className="sr-only"> {list.name}</span>
            </Link>
            <Link
              to={`/rounds/checklists/new?after=${encodeURIComponent(list.id)}`}
              className={QUIET_BUTTON}
            >
              Copy and change
              <span className="sr-only"> {list.name}</span>
            </Link>
          </div>
          <ol className="pb-4">
            {(list.checks ?? []).map((check) => (
              <li
                key={check.id}
                className="grid gap-x-6 border-t border-hairline py-1.5 pl-4 sm:grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,3fr)]"
              >
                <strong className="font-medium">{placeWords({ check, point: null })}</strong>
                <span className="text-quiet">
                  {howWords(check)}
                  {(check.points ?? []).length > 0 && `: ${(check.points ?? []).join(", ")}`}
                </span>
                <span>
                  {check.good}
                  {check.caution && (
                    <strong className="block font-semibold text-due">{check.caution}</strong>
                  )}
                </span>
              </li>
            ))}
          </ol>
        </details>
      ))}
    </section>
  );
}
