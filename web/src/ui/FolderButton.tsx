import { FolderOpen } from "lucide-react";
import { useRef, type ReactElement } from "react";
import { QUIET_BUTTON } from "./buttons.js";

/** Chooses a folder of the device: its files of some endings, in the order of their names. */
export function FolderButton({
  label,
  endings,
  onFiles,
}: {
  readonly label: string;
  readonly endings: readonly string[];
  readonly onFiles: (files: readonly File[]) => void;
}): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={QUIET_BUTTON} onClick={() => input.current?.click()}>
        <FolderOpen size={18} aria-hidden="true" />
        {label}
      </button>
      <input
        ref={input}
        type="file"
        multiple
        // Not known to the types of React.
        {...{ webkitdirectory: "" }}
        className="hidden"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
            .filter(({ name }) => endings.some((ending) => name.toLowerCase().endsWith(ending)))
            .toSorted((one, other) => (one.name < other.name ? -1 : 1));
          // The same folder may be chosen again.
          event.target.value = "";
          onFiles(files);
        }}
      />
    </>
  );
}
