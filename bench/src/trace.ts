/** An event of the browser's own tracing; times in microseconds. */
export interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
  readonly args: { readonly name?: string };
}

/** The lengths of the tasks on the main threads of the pages in a trace, in milliseconds, the longest first. */
export function longestTasks(events: readonly TraceEvent[]): number[] {
  const mainThreads = new Set(
    events
      .filter((event) => event.name === "thread_name" && event.args.name === "CrRendererMain")
      .map((event) => `${event.pid} ${event.tid}`),
  );
  return events
    .filter(
      (event) =>
        event.ph === "X" &&
        (event.name === "RunTask" || event.name === "ThreadControllerImpl::RunTask") &&
        mainThreads.has(`${event.pid} ${event.tid}`),
    )
    .map((event) => (event.dur ?? 0) / 1000)
    .sort((one, other) => other - one);
}
