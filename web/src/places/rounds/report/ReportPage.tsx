import {
  BOOK_NEEDS,
  formatDay,
  logWork,
  reportOn,
  type Checklist,
  type MachineBook,
  type MachineId,
  type Person,
  type Specification,
} from "@yonderfell/core";
import { Download } from "lucide-react";
import { useState, type ReactElement } from "react";
import { useParams, useSearchParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { downloadFile } from "../../../session/downloadFile.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { counted, fullDate } from "../../../words/format.js";
import NotFound from "../../../ui/NotFound.js";
import { Page } from "../../../ui/Page.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { logIssueWords } from "../../shared/logging/logWords.js";
import { machinePath } from "../../shared/paths.js";
import { PictureImage } from "../../shared/pictures/PictureStrip.js";
import { PrintActions } from "../../shared/PrintActions.js";
import type { Paper } from "./paper.js";
import { ReportPaper } from "./ReportPaper.js";

const SINCE = [
  ["30", "the last 30 days"],
  ["90", "the last 90 days"],
  ["365", "the last year"],
  ["1100", "the last three years"],
] as const;
const SIZES = [
  ["a4", "A4"],
  ["letter", "Letter"],
] as const;

interface Around {
  readonly book: MachineBook;
  readonly checklists: readonly Checklist[];
  readonly people: readonly Person[];
  readonly specifications: readonly Specification[];
}

/** What a report is made from; undefined until read, null where there is no such machine. */
function useAround(id: MachineId): Around | null | undefined {
  const { storage } = useBook();
  const found = useMachineBook(id);
  const read = async () => {
    const [checklists, people, own] = await Promise.all([
      storage.list("checklists"),
      storage.list("people"),
      storage.ofMachine(id, ["specifications"]),
    ]);
    return { checklists, people, ...own };
  };
  const around = useLiveOf(id, read, [storage]);
  if (found === undefined || around === undefined) return undefined;
  return found === null ? null : { book: found.book, ...around };
}

/** A report on a machine for its owner or the office: on the screen as on paper, printed, or as a file of its own. */
export default function ReportPage(): ReactElement | null {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const [search, setSearch] = useSearchParams();
  const around = useAround(id);
  const board = useAppSelector((state) =>
    state.board.machines.find(({ machine }) => machine.id === id),
  );
  const hasBoard = useAppSelector((state) => state.board.machines.length > 0);
  const today = useAppSelector((state) => state.session.today);
  const currency = useCurrency();
  const { entry } = useBook();
  if (around === undefined || !hasBoard) return null;
  if (around === null || board === undefined) return <NotFound />;
  const days = SINCE.find(([value]) => value === search.get("days"))?.[0] ?? "90";
  const size = search.get("paper") === "letter" ? "letter" : "a4";
  const set = (name: string, value: string): void => {
    const next = new URLSearchParams(search);
    next.set(name, value);
    setSearch(next, { replace: true });
  };
  const { book, checklists, people, specifications } = around;
  const report = reportOn(board, book, checklists, Number(days), today);
  const paper = {
    report,
    board,
    specifications,
    people,
    currency,
    from: entry.name,
    size,
  } as const;
  return (
    <Page
      title={`${board.machine.tag} ${board.machine.name}: report`}
      aside={
        <PrintActions back={machinePath(id)} backWords="The machine">
          <SelectField
            label="Rounds and work of"
            value={days}
            choices={SINCE}
            onChange={(value) => set("days", value)}
          />
          <SelectField
            label="Paper"
            value={size}
            choices={SIZES}
            onChange={(value) => set("paper", value)}
          />
          <AsFile paper={paper} />
        </PrintActions>
      }
    >
      <Given paper={paper} />
      <ReportPaper
        {...paper}
        picture={(picture) => <PictureImage picture={picture} look="inline-block h-32" />}
      />
    </Page>
  );
}

/** Saves the report as a file of its own. */
function AsFile({ paper }: { readonly paper: Omit<Paper, "picture"> }): ReactElement {
  const { storage } = useBook();
  const save = async (): Promise<void> => {
    const { reportFile } = await import("./reportFile.js");
    const { machine } = paper.board;
    const name = `${machine.tag}-report-${formatDay(paper.report.on)}.html`;
    downloadFile(await reportFile(paper, storage), name.replaceAll(/[^\w.-]+/g, "-"));
  };
  return (
    <button type="button" className={QUIET_BUTTON} onClick={() => void save()}>
      <Download size={18} aria-hidden="true" />
      As a file
    </button>
  );
}

/** Writes into the log of the machine that the report was given to somebody, with what it said. */
function Given({ paper }: { readonly paper: Omit<Paper, "picture"> }): ReactElement {
  const { report, board } = paper;
  const { machine } = board;
  const [who, setWho] = useState("");
  const { run, failure } = useCommands((issue: Parameters<typeof logIssueWords>[0]) =>
    logIssueWords(issue, board, report.on),
  );
  const { now, next, declined } = report;
  const note = (): void => {
    const said = `${now.length} now, ${next.length} for the next visit, ${declined.length} declined`;
    const words = `Report of ${fullDate(report.on)} given to ${who.trim()}: ${said}.`;
    void run(
      (storage, context) =>
        storage.perform(
          machine.id,
          BOOK_NEEDS,
          (book, inside) =>
            logWork(book, { day: report.on, tasks: [], figures: [], note: words }, inside),
          context,
        ),
      `Noted in the log: ${counted(now.length + next.length + declined.length, "thing")} told.`,
    ).then((saved) => {
      if (saved !== null) setWho("");
    });
  };
  return (
    <form
      className="mb-4 flex flex-wrap items-end gap-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        if (who.trim() !== "") note();
      }}
    >
      <TextField label="Given to" value={who} onChange={setWho} />
      <button type="submit" className={QUIET_BUTTON} disabled={who.trim() === ""}>
        Note it in the log
      </button>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </form>
  );
}
