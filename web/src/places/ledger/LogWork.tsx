import type { MachineBook, MachineId, Settings } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { useMachineBook } from "../../session/useMachineBook.js";
import { useWorkSource, type WorkSource } from "../../session/useWorkSource.js";
import { Page } from "../../ui/Page.js";
import { LogWorkForm } from "../shared/logging/LogWorkForm.js";
import { draftKeyOf, useKeptForm, type KeptForm } from "../shared/logging/useLogDraft.js";

/** Logs work on a machine: what was done, when, at what figure, and what that makes due next. */
export default function LogWork(): ReactElement | null {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const [search] = useSearchParams();
  const found = useMachineBook(id);
  const kept = useKeptForm(draftKeyOf(id, null));
  const work = useWorkSource(id);
  if (found === undefined || kept === undefined || work === undefined) return null;
  if (found === null || work === null) {
    return (
      <Page title="Log work">
        <p className="py-6">
          The book has no such machine.{" "}
          <Link to="/yard" className="text-clear underline">
            All machines
          </Link>
        </p>
      </Page>
    );
  }
  const asked = search.getAll("task");
  const tested = search.getAll("tested");
  const closes = search.getAll("closes");
  const measures = search.getAll("measure").filter(isMeasure);
  return (
    <LogWorkPage key={id} {...found} work={work} {...{ asked, tested, closes, measures, kept }} />
  );
}

/** Whether a text of the address is something measured; anything else is passed over. */
function isMeasure(text: string): boolean {
  try {
    const found = JSON.parse(text) as { readonly name?: unknown } | null;
    return typeof found?.name === "string";
  } catch {
    return false;
  }
}

function LogWorkPage({
  book,
  settings,
  work,
  asked,
  tested,
  closes,
  measures,
  kept,
}: {
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly work: WorkSource;
  readonly asked: readonly string[];
  readonly tested: readonly string[];
  readonly closes: readonly string[];
  readonly measures: readonly string[];
  readonly kept: KeptForm | null;
}): ReactElement {
  const { tag, name } = book.machines[0];
  return (
    <Page title={`Log work: ${tag} ${name}`}>
      <LogWorkForm
        {...{ book, settings, work, asked, tested, closes, measures, kept }}
        correcting={null}
      />
    </Page>
  );
}
