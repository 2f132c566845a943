import { FolderOpen } from "lucide-react";
import { useRef, type ReactElement, type Ref } from "react";
import { QUIET_BUTTON } from "./buttons.js";

/** Chooses a file from the device: a book, unless other kinds are named. */
export function FileButton({
  label,
  onFile,
  look = QUIET_BUTTON,
  isDisabled = false,
  buttonRef,
  accept = ".json,.zip,application/json,application/zip",
}: {
  readonly label: string;
  readonly onFile: (file: File) => void;
  readonly look?: string;
  readonly isDisabled?: boolean;
  readonly accept?: string;
  readonly buttonRef?: Ref<HTMLButtonElement>;
}): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        ref={buttonRef}
        type="button"
        className={look}
        disabled={isDisabled}
        onClick={() => input.current?.click()}
      >
        <FolderOpen size={18} aria-hidden="true" />
        {label}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file may be chosen again after it has been mended.
          event.target.value = "";
          if (file !== undefined) onFile(file);
        }}
      />
    </>
  );
}
