import {
  fittedAnswer,
  governing,
  isMismatch,
  type Part,
  type Specification,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import {
  fittedAnswerWords,
  fittedWords,
  specifiedWords,
  valueWords,
} from "../../../words/plateWords.js";
import { EditButton } from "./EditButton.js";

/** What a machine should have against what it has. */
export function SpecificationRows({
  specifications,
  parts,
  onEdit,
}: {
  readonly specifications: readonly Specification[];
  readonly parts: readonly Part[];
  readonly onEdit: (specification: Specification) => void;
}): ReactElement {
  return (
    <ul>
      {specifications.map((specification) => {
        const answer = fittedAnswer(specification, parts);
        const isWrong = isMismatch(answer);
        const fitted = fittedWords(specification);
        return (
          <li
            key={specification.id}
            className="relative grid gap-x-8 gap-y-1 border-t border-hairline py-2 lg:grid-cols-[11rem_minmax(16rem,1.2fr)_minmax(10rem,0.9fr)_minmax(12rem,1fr)_3.5rem]"
          >
            <p className="text-quiet">{specification.group}</p>
            <div>
              <p className="font-medium">{specification.name}</p>
              {(specification.note ?? "") !== "" && (
                <p className="text-fine text-quiet">{specification.note}</p>
              )}
            </div>
            <Specified specification={specification} />
            <div>
              {fitted !== "" && <p className={isWrong ? "font-bold" : ""}>{fitted}</p>}
              <p
                className={`text-fine ${isWrong ? "font-semibold text-due" : answer.code === "not-recorded" ? "text-quiet" : "text-clear"}`}
              >
                {fitted === "" ? "fitted: not recorded" : fittedAnswerWords(answer)}
              </p>
            </div>
            <EditButton what={specification.name} onEdit={() => onEdit(specification)} />
          </li>
        );
      })}
    </ul>
  );
}

function Specified({ specification }: { readonly specification: Specification }): ReactElement {
  const { source, reason } = governing(specification);
  const { text, least, most } = specification;
  return (
    <div>
      <p className="font-medium tabular-nums">{specifiedWords(specification)}</p>
      <p className="text-fine text-quiet">{source ?? "source not recorded"}</p>
      {reason !== null && (
        <p className="text-fine text-quiet">
          overrides {valueWords(text, least, most)} of the {specification.source ?? "handbook"}:{" "}
          {reason}
        </p>
      )}
    </div>
  );
}
