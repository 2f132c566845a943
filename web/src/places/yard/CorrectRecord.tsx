import {
  BOOK_NEEDS,
  LOG_SECTIONS,
  withdrawRecord,
  type LogSection,
  type Entry,
  type MachineBook,
  type MachineId,
  type MeterChange,
  type NotCorrectable,
  type Reading,
  type Settings,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { useCommands } from "../../session/useCommands.js";
import { useMachineBook } from "../../session/useMachineBook.js";
import { useWorkSource } from "../../session/useWorkSource.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { LogWorkForm } from "../shared/logging/LogWorkForm.js";
import { draftKeyOf, useKeptForm } from "../shared/logging/useLogDraft.js";
import { CorrectChange } from "./CorrectChange.js";
import { replacedIn } from "./history.js";
import { CorrectReading } from "./CorrectReading.js";

const TITLES: Readonly<Record<LogSection, string>> = {
  readings: "Correct a reading",
  meterChanges: "Correct a meter change",
  entries: "Correct an entry",
};

/** Corrects a record of a machine: a new one takes its place, the old one stays in the history. */
export default function CorrectRecord(): ReactElement | null {
  const params = useParams();
  const machine = (params["machineId"] ?? "") as MachineId;
  const section = LOG_SECTIONS.find((candidate) => candidate === params["section"]);
  const found = useMachineBook(machine);
  if (found === undefined) return null;
  const records: readonly { readonly id: string }[] =
    section === undefined || found === null ? [] : found.book[section];
  const record = records.find((candidate) => candidate.id === params["recordId"]);
  if (found === null || section === undefined || record === undefined) return <NoSuchRecord />;
  const { tag, name } = found.book.machines[0];
  return (
    <Page title={`${TITLES[section]}: ${tag} ${name}`}>
      <p className="mb-5 max-w-[68ch] text-quiet">
        The correction takes the place of the record; the old one stays in the history.
      </p>
      <Form key={record.id} {...found} section={section} record={record} />
      {!replacedIn(found.book).has(record.id) && (
        <Withdraw machine={machine} section={section} id={record.id} />
      )}
    </Page>
  );
}

function NoSuchRecord(): ReactElement {
  return (
    <Page title="Correct a record">
      <p className="py-6">
        The book has no such record.{" "}
        <Link to="/yard" className="text-clear underline">
          All machines
        </Link>
      </p>
    </Page>
  );
}

function Form({
  book,
  settings,
  section,
  record,
}: {
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly section: LogSection;
  readonly record: unknown;
}): ReactElement | null {
  switch (section) {
    case "entries":
      return <CorrectEntry book={book} settings={settings} entry={record as Entry} />;
    case "readings":
      return <CorrectReading book={book} reading={record as Reading} />;
    case "meterChanges":
      return <CorrectChange book={book} change={record as MeterChange} />;
  }
}

const NONE: readonly string[] = [];

function CorrectEntry({
  book,
  settings,
  entry,
}: {
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly entry: Entry;
}): ReactElement | null {
  const [correcting] = useState(entry);
  const [search] = useSearchParams();
  const kept = useKeptForm(draftKeyOf(entry.machine, entry.id));
  const work = useWorkSource(entry.machine);
  if (kept === undefined || !work) return null;
  const none = { asked: NONE, closes: NONE, measures: NONE };
  const row = search.get("row") ?? "";
  return <LogWorkForm {...{ book, settings, work, kept, correcting, row, ...none }} />;
}

const alreadyWords = (_: NotCorrectable): string =>
  "It has been corrected already; look in the history.";

/** Takes a record back altogether, asked for twice. */
function Withdraw({
  machine,
  section,
  id,
}: {
  readonly machine: MachineId;
  readonly section: LogSection;
  readonly id: string;
}): ReactElement {
  const navigate = useNavigate();
  const { run, failure } = useCommands(alreadyWords);
  const [isAsking, setIsAsking] = useState(false);
  const withdraw = (): void =>
    void run(
      (storage, around) =>
        storage.perform(
          machine,
          BOOK_NEEDS,
          (book, context) => withdrawRecord(book, section, id, context),
          around,
        ),
      "Withdrawn. It stays in the history.",
      () => navigate(`/yard/${encodeURIComponent(machine)}`),
    );
  return (
    <div className="mt-8 flex flex-wrap items-center gap-3 border-t border-hairline pt-4">
      {isAsking ? (
        <>
          <span>Count it for nothing? It stays in the history.</span>
          <button type="button" className={QUIET_BUTTON} onClick={withdraw}>
            Yes, withdraw it
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(false)}>
            No
          </button>
        </>
      ) : (
        <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
          Withdraw it
        </button>
      )}
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </div>
  );
}
