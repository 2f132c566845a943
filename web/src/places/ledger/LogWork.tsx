import type { MachineBook, MachineId, Settings } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { useMachineBook } from "../../session/useMachineBook.js";
import { Page } from "../../ui/Page.js";
import { LogWorkForm } from "../shared/logging/LogWorkForm.js";
import { draftKeyOf, useKeptForm, type KeptForm } from "../shared/logging/useLogDraft.js";

/** Logs work on a machine: what was done, when, at what figure, and what that makes due next. */
export default function LogWork(): ReactElement | null {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const [search] = useSearchParams();
  const found = useMachineBook(id);
  const kept = useKeptForm(draftKeyOf(id, null));
  if (found === undefined || kept === undefined) return null;
  if (found === null) {
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
  return (
    <LogWorkPage key={id} book={found.book} settings={found.settings} asked={asked} kept={kept} />
  );
}

function LogWorkPage({
  book,
  settings,
  asked,
  kept,
}: {
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly asked: readonly string[];
  readonly kept: KeptForm | null;
}): ReactElement {
  const { tag, name } = book.machines[0];
  return (
    <Page title={`Log work: ${tag} ${name}`}>
      <LogWorkForm book={book} settings={settings} asked={asked} kept={kept} correcting={null} />
    </Page>
  );
}
