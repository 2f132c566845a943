import type { MachineId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { SelectField } from "../../../ui/fields.js";
import NotFound from "../../../ui/NotFound.js";
import { Page } from "../../../ui/Page.js";
import { machinePath, warrantyPath } from "../../shared/paths.js";
import { PictureImage } from "../../shared/pictures/PictureStrip.js";
import { PrintActions } from "../../shared/PrintActions.js";
import { useAppSelector } from "../../../session/store.js";
import { RecordAsFile } from "./RecordAsFile.js";
import { RecordPaper } from "./RecordPaper.js";
import { useRecord, useRecordDays } from "./useRecord.js";

const SIZES = [
  ["a4", "A4"],
  ["letter", "Letter"],
] as const;

/** The service record of a machine: on the screen as on paper, printed, or as one file that can be checked. */
export default function RecordPage(): ReactElement | null {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const [search] = useSearchParams();
  const days = useRecordDays();
  const { record, failure } = useRecord(id, days.span);
  const machine = useAppSelector((state) =>
    state.board.machines.find((one) => one.machine.id === id),
  )?.machine;
  const hasBoard = useAppSelector((state) => state.board.machines.length > 0);
  if (!hasBoard) return null;
  if (machine === undefined) return <NotFound />;
  const size = search.get("paper") === "letter" ? "letter" : "a4";
  const problem = days.span === null ? "Choose two days, the first no later than the last." : "";
  return (
    <Page
      title={`${machine.tag} ${machine.name}: service record`}
      aside={
        <PrintActions back={machinePath(id)} backWords="The machine">
          <DayField
            label="From; all there is where empty"
            value={days.from}
            onChange={(value) => days.set("from", value)}
          />
          <DayField
            label="To; today where empty"
            value={days.to}
            problem={problem}
            onChange={(value) => days.set("to", value)}
          />
          <SelectField
            label="Paper"
            value={size}
            choices={SIZES}
            onChange={(value) => days.set("paper", value)}
          />
          <Link to={warrantyPath(id)} className={QUIET_BUTTON}>
            For a warranty
          </Link>
          {record && <RecordAsFile key={record.digest} record={record} />}
        </PrintActions>
      }
    >
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure === "" ? "" : `The record could not be made: ${failure}`}
      </p>
      {record === undefined && days.span !== null && failure === "" && (
        <p className="py-6 text-quiet">Putting the record together.</p>
      )}
      {record && (
        <RecordPaper
          {...{ record, size }}
          picture={(picture) => <PictureImage picture={{ ...picture }} look="inline-block h-32" />}
        />
      )}
    </Page>
  );
}
