import type { ReactElement } from "react";
import { counted } from "../../../words/format.js";

const SHOWN = 12;

/** Why a file was refused: each place that is wrong and what was expected there. */
export function FileRefused({
  file,
  reasons,
}: {
  readonly file: string;
  readonly reasons: readonly string[];
}): ReactElement {
  const rest = reasons.length - SHOWN;
  return (
    <div role="alert" data-refused={file} className="border-l-4 border-overdue bg-raised px-4 py-3">
      <p className="font-semibold">
        {file} was refused; nothing is changed. {reasons.length === 1 ? "This" : "These"} must be
        put right in it:
      </p>
      <ul className="mt-1 list-disc pl-5">
        {reasons.slice(0, SHOWN).map((reason, index) => (
          <li key={index} className="break-words">
            {reason}
          </li>
        ))}
      </ul>
      {rest > 0 && <p className="mt-1 text-quiet">and {counted(rest, "more", "more")}</p>}
    </div>
  );
}
