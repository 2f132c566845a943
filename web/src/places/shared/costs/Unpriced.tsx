import { dayOf, type BoardMachine, type UnpricedLine } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { counted, fullDate } from "../../../words/format.js";
import { LINE_WORDS } from "./costWords.js";
import { correctionPath } from "../paths.js";
import { ShowMore } from "../../../ui/ShowMore.js";

/** In which list of the form of work a line is. */
const ROW = { parts: "parts", fluids: "fluids", work: "work", other: "costs" } as const;

const AT_FIRST = 8;
const MORE = 50;

/** The lines without a price, each with the way to give it one. */
export function Unpriced({
  lines,
  machines,
}: {
  readonly lines: readonly UnpricedLine[];
  /** Those they are told of by tag; of one machine it is not said which. */
  readonly machines: readonly BoardMachine[] | null;
}): ReactElement | null {
  const [shown, setShown] = useState(AT_FIRST);
  if (lines.length === 0) return null;
  return (
    <section aria-labelledby="unpriced" className="mt-6">
      <h2 id="unpriced" className="text-large font-bold">
        Without a price
      </h2>
      <p className="mb-1 text-quiet">
        {counted(lines.length, "line")} counted as nothing, so that what stands above is the least
        it was.
      </p>
      <ul>
        {lines.slice(0, shown).map((line, at) => (
          <UnpricedRow
            key={`${line.entry} ${at}`}
            line={line}
            machine={machines?.find((one) => one.machine.id === line.machine)?.machine}
          />
        ))}
      </ul>
      <ShowMore
        rest={lines.length - shown}
        words="Show older,"
        onMore={() => setShown(shown + MORE)}
      />
    </section>
  );
}

function UnpricedRow({
  line,
  machine,
}: {
  readonly line: UnpricedLine;
  readonly machine: BoardMachine["machine"] | undefined;
}): ReactElement {
  const { name } = line;
  const day = fullDate(dayOf(line.date));
  return (
    <li className="flex flex-wrap items-baseline gap-x-5 border-t border-hairline py-1.5">
      <span className="w-28 whitespace-nowrap tabular-nums">{day}</span>
      {machine !== undefined && (
        <span className="w-56">
          <span className="mr-2 font-mono font-bold">{machine.tag}</span>
          {machine.name}
        </span>
      )}
      <span className="min-w-40 flex-1">
        <span className="text-quiet">{LINE_WORDS[line.kind]}:</span> {name}
      </span>
      <Link
        to={`${correctionPath(line.machine, "entries", line.entry)}?row=${ROW[line.kind]}.${line.at}`}
        aria-label={`Give a price: ${name}, ${day}`}
        className="flex min-h-10 items-center text-clear hover:underline max-sm:min-h-12 print:hidden"
      >
        Give a price
      </Link>
    </li>
  );
}
