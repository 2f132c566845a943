import { useEffect, useRef, type RefObject } from "react";

/** Has the first field of a form that is said to be wrong, or the first answer that it asks for, take the focus, each time `tried` rises. */
export function useFirstWrong(tried: number): RefObject<HTMLFormElement | null> {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (tried === 0) return;
    form.current?.querySelector<HTMLElement>("[aria-invalid=true], [data-asks] button")?.focus();
  }, [tried]);
  return form;
}
