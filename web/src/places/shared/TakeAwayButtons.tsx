import { Printer, Table2 } from "lucide-react";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";

/** Hands what stands on a page over as a table for a spreadsheet. */
export function TableButton({
  isReady = true,
  onPress,
}: {
  /** Whether there is anything to hand over. */
  readonly isReady?: boolean;
  readonly onPress: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      className={`${QUIET_BUTTON} print:hidden`}
      disabled={!isReady}
      onClick={onPress}
    >
      <Table2 size={18} aria-hidden="true" />
      As a table
    </button>
  );
}

/** Prints the page. */
export function PrintButton(): ReactElement {
  return (
    <button type="button" className={`${QUIET_BUTTON} print:hidden`} onClick={() => window.print()}>
      <Printer size={18} aria-hidden="true" />
      Print
    </button>
  );
}
