import { sampleFigure, type JudgedFigure, type JudgedSample, type Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { sentence } from "../../../words/format.js";
import { VerdictMark } from "../VerdictMark.js";
import {
  labFigure,
  labUnit,
  lifeStep,
  limitOfFigure,
  PART_WORDS,
  usualWords,
} from "./sampleWords.js";

/** The figures of a sample by what they speak of: what was found, by the life of the oil, what is usual here, the laboratory's limits, the verdict. */
export function FiguresTable({
  machine,
  judged,
}: {
  readonly machine: Machine;
  readonly judged: JudgedSample;
}): ReactElement {
  const { each, sample } = judged;
  const parts = (["wear", "dirt", "state"] as const).map((part) => ({
    name: PART_WORDS[part],
    rows: each.filter(({ name }) => (sampleFigure(name)?.part ?? "state") === part),
  }));
  const head = "py-1 pr-4 text-left align-bottom font-normal";
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[30rem] tabular-nums">
        <thead className="text-fine text-quiet">
          <tr>
            <th className={head}>Verdict and figure</th>
            <th className={`${head} text-right`}>Found</th>
            <th className={`${head} text-right`}>By {lifeStep(machine, sample)} of oil</th>
            <th className={`${head} text-right`}>Usual here</th>
            <th className={head}>Laboratory</th>
          </tr>
        </thead>
        {parts
          .filter(({ rows }) => rows.length > 0)
          .map(({ name, rows }) => (
            <tbody key={name}>
              <tr>
                <th colSpan={5} scope="rowgroup" className="pt-2 text-left font-bold">
                  {name}
                </th>
              </tr>
              {rows.map((row) => (
                <FigureRow key={row.name} row={row} sample={sample} />
              ))}
            </tbody>
          ))}
      </table>
    </div>
  );
}

function FigureRow({
  row,
  sample,
}: {
  readonly row: JudgedFigure;
  readonly sample: JudgedSample["sample"];
}): ReactElement {
  const { name, value, rate, verdict } = row;
  const isOut = verdict !== "sound";
  const means = sampleFigure(name)?.means ?? "";
  const cell = "border-t border-hairline py-1 pr-4 align-top";
  return (
    <tr className={isOut ? "font-semibold" : ""}>
      <th scope="row" className={`${cell} text-left font-normal`}>
        <span className="flex items-start gap-2">
          <VerdictMark verdict={verdict} />
          <span className={isOut ? "font-semibold" : ""}>
            {sentence(name)}
            <span className={isOut ? "" : "sr-only"}>, {verdict}</span>
            {isOut && <span className="block text-fine font-normal text-quiet">{means}</span>}
          </span>
        </span>
      </th>
      <td className={`${cell} text-right whitespace-nowrap`}>
        {labFigure(value)} <span className="text-quiet">{labUnit(name)}</span>
      </td>
      <td className={`${cell} text-right`}>{rate === null ? "" : labFigure(rate)}</td>
      <td className={`${cell} text-right whitespace-nowrap`}>{usualWords(row)}</td>
      <td className={`${cell} text-fine`}>{limitOfFigure(name, sample)}</td>
    </tr>
  );
}
