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
  const closes = search.getAll("closes");
  return <LogWorkPage key={id} {...found} work={work} asked={asked} closes={closes} kept={kept} />;
}

function LogWorkPage({
  book,
  settings,
  work,
  asked,
  closes,
  kept,
}: {
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly work: WorkSource;
  readonly asked: readonly string[];
  readonly closes: readonly string[];
  readonly kept: KeptForm | null;
}): ReactElement {
  const { tag, name } = book.machines[0];
  return (
    <Page title={`Log work: ${tag} ${name}`}>
      <LogWorkForm {...{ book, settings, work, asked, closes, kept }} correcting={null} />
    </Page>
  );
}
