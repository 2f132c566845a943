import type { ReactElement, ReactNode } from "react";

/** The foot of a form: what saves it stays in sight however long the form is. */
export function FormFoot({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <div className="sticky bottom-0 z-10 flex flex-wrap items-center gap-3 border-t border-hairline bg-ground py-2 print:hidden">
      {children}
    </div>
  );
}
