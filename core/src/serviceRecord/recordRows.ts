import { plainQuantity } from "../quantity/formatQuantity.js";
import type { RecordContent, RecordDial, RecordLine, RecordMeasure } from "./document.js";

const HEADINGS = [
  ...["Date", "Kind", "Dials", "Life", "What", "Marks", "Who", "Fluids", "Parts", "Measures"],
  ...["Torques", "Ended", "Note", "Pictures"],
] as const;

type Cells = Partial<Record<(typeof HEADINGS)[number], string>>;

const joined = (all: readonly (string | false | null | undefined)[], between = "; "): string =>
  all.filter((one): one is string => typeof one === "string" && one !== "").join(between);

const dialText = ({ meter, unit, dial, estimated }: RecordDial): string | null =>
  dial === undefined ? null : `${meter} ${dial} ${unit}${estimated ? " (reckoned)" : ""}`;

const lifeText = ({ meter, unit, life }: RecordDial): string | null =>
  life === undefined ? null : `${meter} ${life} ${unit}`;

function measureText({ name, readings, verdict, note }: RecordMeasure): string {
  const figures = (readings ?? []).map(plainQuantity).join(", ");
  return joined([`${name}:`, figures, verdict, note], " ");
}

type Work = Extract<RecordLine, { readonly kind: "work" | "top-up" | "note" }>;

function workCells(line: Work): Cells {
  const tested = (line.tested ?? []).map(({ task, found }) =>
    joined([`${task}: tested sound`, found], ", "),
  );
  const codes = (line.codes ?? []).map(({ code, fact }) => `code ${code} ${fact}`);
  const closes = (line.closes ?? []).map((what) => `put right: ${what}`);
  const left = (line.left ?? []).map(({ step, reason }) => joined([`left: ${step}`, reason], ", "));
  const fluids = (line.fluids ?? []).map(({ system, product, claims, out, in: filled, ...rest }) =>
    joined(
      [
        `${system}:`,
        product && joined([product, claims && `(${claims.join(", ")})`], " "),
        rest.condition,
        out && `out ${plainQuantity(out)}`,
        filled && `in ${plainQuantity(filled)}`,
        rest.onMark && "on the mark",
      ],
      " ",
    ),
  );
  return {
    What: joined([...(line.tasks ?? []), ...tested, ...codes, ...closes, ...left]),
    Marks: joined([
      line.assumed && "assumed",
      line.warranty && "warranty",
      line.corrected && "corrected",
    ]),
    Who: joined([...(line.who ?? []), ...(line.others ?? []).map((what) => `shop: ${what}`)]),
    Fluids: joined(fluids),
    Parts: joined(
      (line.parts ?? []).map(({ number, name, count }) =>
        joined([`${count} ×`, number, name], " "),
      ),
    ),
    Measures: joined((line.measures ?? []).map(measureText)),
    Torques: joined(
      (line.torques ?? []).map(({ name, torque, by }) =>
        joined([name, torque && plainQuantity(torque), by], " "),
      ),
    ),
  };
}

function ownCells(line: RecordLine): Cells {
  switch (line.kind) {
    case "work":
    case "top-up":
    case "note":
      return workCells(line);
    case "round": {
      const counts = Object.entries(line.verdicts).map(([verdict, count]) => `${count} ${verdict}`);
      const What = joined([line.checklist, counts.join(", "), line.underWay && "under way"]);
      return {
        What,
        Who: joined(line.who ?? []),
        Measures: joined((line.results ?? []).map(measureText)),
      };
    }
    case "finding":
      return {
        What: joined([line.what, line.evidence]),
        Marks: joined([line.verdict, line.decision]),
        Who: joined(line.who ?? []),
        Ended: line.ended === undefined ? "open" : `${line.ended.on}: ${line.ended.how}`,
      };
    case "sample": {
      const values = Object.entries(line.values ?? {}).map(([name, value]) => `${name} ${value}`);
      return {
        What: joined([line.system, line.label]),
        Who: line.lab ?? "",
        Measures: joined(values),
        Ended: joined([line.answered, line.advice], ": "),
      };
    }
    case "dial change":
      return {
        What: `${line.meter}: ${line.oldFinal} to ${line.newStart} ${line.unit}`,
        Marks: line.lost === undefined ? "" : `${line.lost} ${line.unit} not counted by a dial`,
      };
    case "out of service": {
      const { released } = line;
      const Ended = released === undefined ? "still" : `${released.on}: ${released.done}`;
      return { What: line.reason, Who: released?.by ?? "", Ended };
    }
  }
}

function rowOf(line: RecordLine): string[] {
  const cells: Cells = {
    Date: line.date,
    Kind: line.kind,
    Dials: joined((line.dials ?? []).map(dialText)),
    Life: joined((line.dials ?? []).map(lifeText)),
    Note: line.note ?? "",
    Pictures: joined((line.pictures ?? []).map(({ hash }) => hash)),
    ...ownCells(line),
  };
  return HEADINGS.map((heading) => cells[heading] ?? "");
}

/**
 * A service record as a table: the headings, then a row each line, gap and reading, in order of date (a gap on the day
 * it begins). Figures stand as they were written, with their units.
 */
export function recordRows({ lines, gaps, readings }: RecordContent): string[][] {
  const dated: (readonly [string, string[]])[] = [
    ...lines.map((line) => [line.date, rowOf(line)] as const),
    ...gaps.map(({ from, to, days }) => {
      const cells: Cells = {
        Date: from,
        Kind: "gap",
        What: `No record for ${days} days, to ${to}`,
      };
      return [from, HEADINGS.map((heading) => cells[heading] ?? "")] as const;
    }),
    ...readings.map(({ date, dial, source }) => {
      const cells: Cells = {
        ...{ Date: date, Kind: "reading", Dials: dialText(dial) ?? "", Life: lifeText(dial) ?? "" },
        Marks: source ?? "",
      };
      return [date, HEADINGS.map((heading) => cells[heading] ?? "")] as const;
    }),
  ];
  const inOrder = dated.toSorted(([one], [other]) => (one < other ? -1 : Number(one > other)));
  return [[...HEADINGS], ...inOrder.map(([, row]) => row)];
}
