import { useEffect, useRef, type ReactElement, type ReactNode } from "react";

/** A page: its title, what stands beside it, and what it holds. The title takes the focus when the page is come to. */
export function Page({
  title,
  windowTitle = title,
  aside,
  children,
}: {
  readonly title: string;
  /** What the window is called, where several pages share a title. */
  readonly windowTitle?: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    document.title = `${windowTitle} · Yonderfell`;
    // Not where a field of the page has taken it already.
    const main = heading.current?.closest("main");
    if (main?.contains(document.activeElement) !== true) {
      heading.current?.focus({ preventScroll: true });
    }
  }, [title, windowTitle]);
  return (
    <main className="mx-auto w-full max-w-[1600px] px-7 pt-5 pb-16 max-sm:px-4">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <h1 ref={heading} tabIndex={-1} className="text-title font-bold outline-none">
          {title}
        </h1>
        {aside}
      </div>
      {children}
    </main>
  );
}
