import type { ReactElement } from "react";

/** Why a setting was not saved; nothing where it was. */
export function NotSaved({ failure }: { readonly failure: string }): ReactElement | null {
  if (failure === "") return null;
  return (
    <p role="alert" className="text-overdue">
      Not saved: {failure}
    </p>
  );
}
