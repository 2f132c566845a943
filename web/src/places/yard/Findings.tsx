import { coldOf, plateFindings, type Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { findingWords } from "../../words/plateWords.js";
import { sentence } from "../../words/format.js";
import { usePlate } from "./usePlate.js";
import { machinePath } from "../shared/paths.js";

/** What on a machine is not as it should be: seen at once, with the way to the plate. */
export function Findings({ machine }: { readonly machine: Machine }): ReactElement | null {
  const found = usePlate(machine.id);
  if (found === undefined) return null;
  const findings = plateFindings(machine, found.now, found, coldOf(machine, found.settings));
  if (findings.length === 0) return null;
  return (
    <section aria-labelledby="not-as-specified" className="mb-5">
      <h2 id="not-as-specified" className="text-fine font-semibold text-soon-text">
        Not as it should be
      </h2>
      <ul>
        {findings.map((finding, index) => {
          const { what, why } = findingWords(finding);
          return (
            <li
              key={index}
              className="grid gap-x-6 border-t border-hairline py-1.5 sm:grid-cols-[minmax(14rem,24rem)_1fr]"
            >
              <Link to={machinePath(machine.id, "/plate")} className="font-medium hover:underline">
                {sentence(what)}
              </Link>
              <span>{why}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
