import { Command } from "cmdk";
import { useDeferredValue, useEffect, useRef, useState, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { dayOf } from "@yonderfell/core";
import { useBook } from "../../session/openBook.js";
import { overlayClosed, taskOpened } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { FIELD } from "../../ui/buttons.js";
import { DialogFrame } from "../../ui/DialogFrame.js";
import { errorWords } from "../../words/errorWords.js";
import { fullDate } from "../../words/format.js";
import type { Found } from "../../work/finder.js";
import { search } from "../../work/findClient.js";
import { commandsFitting, type Command as NamedCommand } from "./command.js";
import { findingPath } from "../../words/findingWords.js";
import { useLineInHand, type Line } from "./useLineInHand.js";

const MOST = 30;
const NOTHING: readonly Found[] = [];
const ITEM =
  "flex min-h-11 cursor-pointer items-baseline gap-3 rounded-[3px] px-3 py-1.5 data-[selected=true]:bg-wash max-sm:min-h-12";

/** Finds a machine, a task, a part, a fluid, an entry or a command by a few words, and goes there. */
export function Find({ commands }: { readonly commands: readonly NamedCommand[] }): ReactElement {
  const dispatch = useAppDispatch();
  const close = (): void => {
    dispatch(overlayClosed());
  };
  return (
    <DialogFrame title="Find" onClose={close}>
      <FindBox commands={commands} onClose={close} />
    </DialogFrame>
  );
}

/** Where something that was found is looked at. */
function addressOf({ kind, id, machine, title }: Found): string {
  if (machine === null) return `/stores/numbers?words=${encodeURIComponent(title)}`;
  const page = `/yard/${encodeURIComponent(machine)}`;
  if (kind === "finding") return findingPath(id);
  if (kind === "point") return `${page}/plate`;
  return kind === "entry" ? `${page}?entry=${encodeURIComponent(id)}` : page;
}

interface FindBoxProps {
  /** All that can be told by name. */
  readonly commands: readonly NamedCommand[];
  readonly onClose: () => void;
}

function FindBox({ commands, onClose }: FindBoxProps): ReactElement {
  const [words, setWords] = useState(useAppSelector((state) => state.session.typedAhead));
  const { found, failure, isLooking } = useFound(words);
  const { lines, isMeant } = useLines(commands, words, found, onClose);
  // A command that is named stands first whatever else is found: it waits for no answer.
  const hand = useLineInHand(lines, words, isLooking && !isMeant);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    // The library tells and shows only the lines it goes to by itself.
    const items = [...document.querySelectorAll("[cmdk-item]")];
    const line = items.find((item) => item.getAttribute("data-value") === hand.value);
    input.current?.setAttribute("aria-activedescendant", line?.id ?? "");
    line?.scrollIntoView({ block: "nearest" });
  }, [hand.value]);
  const nothing = words.trim() !== "" && !isLooking && failure === "" && lines.length === 0;
  return (
    <Command
      shouldFilter={false}
      disablePointerSelection
      label="Find"
      className="mt-2 pb-3"
      value={hand.value}
      onKeyDown={hand.onKeyDown}
    >
      <Command.Input
        ref={input}
        autoFocus
        value={words}
        onValueChange={setWords}
        placeholder="A number, a name, a day, a note: 07 oil"
        className={`${FIELD} text-large`}
      />
      <Command.List className="mt-2 max-h-[60vh] overflow-y-auto">
        {lines.map(({ value, take, body }) => (
          <Command.Item
            key={value}
            value={value}
            onSelect={take}
            onMouseMove={() => hand.choose(value)}
            className={ITEM}
          >
            {body}
          </Command.Item>
        ))}
      </Command.List>
      <p role="status" className="px-3 pt-2 text-quiet">
        {isLooking && found.length === 0 && "Looking…"}
        {nothing && "Nothing in this book fits. Fewer or other words may."}
        {failure !== "" && `It cannot be looked for: ${failure}.`}
      </p>
    </Command>
  );
}

/** What can be taken: what of the book fits the words, among the commands that do. */
function useLines(
  named: readonly NamedCommand[],
  words: string,
  found: readonly Found[],
  onClose: () => void,
): { readonly lines: readonly FindLine[]; readonly isMeant: boolean } {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const openTask = useAppSelector((state) => state.session.openTask);
  const goTo = (one: Found): void => {
    onClose();
    if (one.kind === "task" && openTask !== one.id) dispatch(taskOpened(one.id));
    void navigate(addressOf(one));
  };
  const run = (command: NamedCommand): void => {
    onClose();
    command.run();
  };
  const commands = commandsFitting(named, words);
  // A command whose very name is being typed is meant before anything of the book.
  const meant = commands.filter((command) => begins(command, words));
  const lines = [
    ...meant.map((command) => commandLine(command, run)),
    ...found.map((one) => foundLine(one, goTo)),
    ...commands
      .filter((command) => !begins(command, words))
      .map((command) => commandLine(command, run)),
  ];
  return { lines, isMeant: meant.length > 0 };
}

const begins = ({ name }: NamedCommand, words: string): boolean =>
  words.trim() !== "" && name.toLowerCase().startsWith(words.trim().toLowerCase());

type FindLine = Line & { readonly body: ReactElement };

function commandLine(command: NamedCommand, run: (command: NamedCommand) => void): FindLine {
  const body = (
    <>
      <span className="min-w-0 flex-1">{command.name}</span>
      <span className="text-fine text-quiet">{command.keys}</span>
      <span className="w-20 text-right text-fine text-quiet">command</span>
    </>
  );
  return { value: `command ${command.name}`, take: () => run(command), body };
}

function foundLine(found: Found, goTo: (found: Found) => void): FindLine {
  const body = (
    <>
      <span className="w-10 shrink-0 font-mono font-bold">{found.tag}</span>
      <span className="min-w-0 flex-1">
        <span className="font-medium">{found.title}</span>{" "}
        <span className="text-fine text-quiet">{found.detail}</span>
      </span>
      <span className="w-24 shrink-0 text-right text-fine whitespace-nowrap text-quiet">
        {found.date === "" ? found.kind : fullDate(dayOf(found.date))}
      </span>
    </>
  );
  return { value: `${found.kind} ${found.id}`, take: () => goTo(found), body };
}

/** What of the book fits the words; the last answer stands until the next one comes. */
function useFound(words: string): {
  readonly found: readonly Found[];
  readonly failure: string;
  readonly isLooking: boolean;
} {
  const { entry } = useBook();
  const asked = useDeferredValue(words);
  const [answer, setAnswer] = useState<{ words: string; found: readonly Found[] }>({
    words: "",
    found: [],
  });
  const [failure, setFailure] = useState("");
  useEffect(() => {
    let isWanted = true;
    if (asked.trim() === "") return undefined;
    search()
      .find(entry.database, asked, MOST)
      .then(
        (found) => {
          if (!isWanted) return;
          setAnswer({ words: asked, found });
          setFailure("");
        },
        (error: unknown) => isWanted && setFailure(errorWords(error)),
      );
    return () => {
      isWanted = false;
    };
  }, [entry.database, asked]);
  const isEmpty = words.trim() === "";
  return {
    found: isEmpty ? NOTHING : answer.found,
    failure,
    isLooking: !isEmpty && failure === "" && answer.words !== words,
  };
}
