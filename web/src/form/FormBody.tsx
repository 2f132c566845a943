import type { ReactElement, ReactNode } from "react";
import { QUIET_BUTTON } from "../ui/buttons.js";
import { useFirstWrong } from "../ui/useFirstWrong.js";
import { counted, momentWords } from "../words/format.js";
import { MineAndTheirs, type Said } from "./MineAndTheirs.js";
import type { Model } from "./rebase.js";
import type { FormInHand } from "./useForm.js";

/** A form as it is filled in: what was begun earlier, the fields, what stands in the way, and the foot. */
export function FormBody<M extends Model, Source>({
  form,
  onSave,
  failure,
  said,
  className,
  children,
  foot,
}: {
  readonly form: FormInHand<M, Source>;
  /** Saves; answers whether it is saved. */
  readonly onSave: (model: M, source: Source) => Promise<boolean>;
  /** What stood in the way of the last save. */
  readonly failure: string;
  readonly said?: Said<M>;
  readonly className: string;
  readonly children: ReactNode;
  readonly foot: ReactNode;
}): ReactElement {
  const ref = useFirstWrong(form.tried);
  return (
    <form ref={ref} onSubmit={form.submit(onSave)} className={className} noValidate>
      <Begun form={form} />
      {children}
      <MineAndTheirs form={form} {...(said === undefined ? {} : { said })} />
      <InTheWay form={form} failure={failure} />
      {foot}
    </form>
  );
}

/** That a form was begun earlier, and the way to begin afresh. */
function Begun<M extends Model, Source>({
  form,
}: {
  readonly form: FormInHand<M, Source>;
}): ReactElement | null {
  if (form.begunAt === null) return null;
  return (
    <p className="flex flex-wrap items-center gap-3">
      <span>Kept from when you last were here, {momentWords(form.begunAt)}; not saved yet.</span>
      <button type="button" className={QUIET_BUTTON} onClick={form.startAfresh}>
        Start afresh
      </button>
    </p>
  );
}

/** What stands in the way of saving; nothing where nothing does. */
function InTheWay<M extends Model, Source>({
  form: { problem, wrong, isKept, isSaving },
  failure,
}: {
  readonly form: FormInHand<M, Source>;
  readonly failure: string;
}): ReactElement {
  const marked =
    wrong === 0 ? "" : `Not saved: ${counted(wrong, "field")} to put right, marked above.`;
  const lines = [
    marked,
    problem,
    isSaving ? "" : failure,
    isKept ? "" : "What you type is not kept if you leave: this tab has no room left.",
  ].filter((line) => line !== "");
  return (
    <>
      <div role="alert" className="font-semibold text-due empty:hidden">
        {lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
      <p role="status" className="text-quiet empty:hidden">
        {isSaving ? "Saving…" : ""}
      </p>
    </>
  );
}
