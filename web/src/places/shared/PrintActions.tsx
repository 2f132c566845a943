import { Printer } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";

/** What is done with a page made for paper: what it shows, the way back, and to print it. None of it prints. */
export function PrintActions({
  back,
  backWords,
  children,
}: {
  readonly back: string;
  readonly backWords: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <div className="flex flex-wrap items-end gap-4 print:hidden">
      {children}
      <Link to={back} className={QUIET_BUTTON}>
        {backWords}
      </Link>
      <button type="button" className={PRIMARY_BUTTON} onClick={() => window.print()}>
        <Printer size={18} aria-hidden="true" />
        Print
      </button>
    </div>
  );
}
