import { Command } from "cmdk";
import { useDeferredValue, useEffect, useState, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { dayOf } from "@yonderfell/core";
import { commandsFitting, commandsOf, type Command as NamedCommand } from "../../app/commands.js";
import { useBook } from "../../app/openBook.js";
import { overlayClosed, taskOpened } from "../../app/session.js";
import { useAppDispatch, useAppSelector } from "../../app/store.js";
import { useUndo } from "../../app/useUndo.js";
import { FIELD } from "../../ui/buttons.js";
import { DialogFrame } from "../../ui/DialogFrame.js";
import { errorWords } from "../../words/errorWords.js";
import { fullDate } from "../../words/format.js";
import type { Found } from "../../work/finder.js";
import { search } from "../../work/findClient.js";

const MOST = 30;
const NOTHING: readonly Found[] = [];
const ITEM =
  "flex min-h-11 cursor-pointer items-baseline gap-3 rounded-[3px] px-3 py-1.5 data-[selected=true]:bg-wash max-sm:min-h-12";

/** Finds a machine, a task, a part, a fluid, an entry or a command by a few words, and goes there. */
export default function Find(): ReactElement {
  const dispatch = useAppDispatch();
  const close = (): void => {
    dispatch(overlayClosed());
  };
  return (
    <DialogFrame title="Find" onClose={close}>
      <FindBox onClose={close} />
    </DialogFrame>
  );
}

/** Where something that was found is looked at. */
function addressOf({ kind, id, machine, title }: Found): string {
  if (machine === null) return `/stores?words=${encodeURIComponent(title)}`;
  const page = `/yard/${encodeURIComponent(machine)}`;
  return kind === "entry" ? `${page}?entry=${encodeURIComponent(id)}` : page;
}

function FindBox({ onClose }: { readonly onClose: () => void }): ReactElement {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const undoState = useAppSelector((state) => state.undo);
  const openTask = useAppSelector((state) => state.session.openTask);
  const undo = useUndo();
  const [words, setWords] = useState("");
  const { found, failure, isLooking } = useFound(useDeferredValue(words));
  const commands = commandsFitting(commandsOf(navigate, dispatch, undoState, undo), words);
  // A command whose very name is being typed is meant before anything of the book.
  const meant = commands.filter((command) => begins(command, words));
  const others = commands.filter((command) => !begins(command, words));
  const first = [
    ...meant.map(valueOfCommand),
    ...found.map(valueOf),
    ...others.map(valueOfCommand),
  ][0];
  const choice = useChoice(first ?? "", found, words);
  const go = (one: Found): void => {
    onClose();
    if (one.kind === "task" && openTask !== one.id) dispatch(taskOpened(one.id));
    void navigate(addressOf(one));
  };
  const nothing = words.trim() !== "" && !isLooking && found.length + commands.length === 0;
  return (
    <Command
      shouldFilter={false}
      label="Find"
      className="mt-2 pb-3"
      value={choice.value}
      onValueChange={choice.choose}
    >
      <Command.Input
        autoFocus
        value={words}
        onValueChange={setWords}
        placeholder="A number, a name, a day, a note: 07 oil"
        className={`${FIELD} text-large`}
      />
      <Command.List className="mt-2 max-h-[60vh] overflow-y-auto">
        <CommandItems commands={meant} onClose={onClose} />
        {found.map((one) => (
          <Command.Item
            key={`${one.kind} ${one.id}`}
            value={valueOf(one)}
            onSelect={() => go(one)}
            className={ITEM}
          >
            <FoundLine found={one} />
          </Command.Item>
        ))}
        <CommandItems commands={others} onClose={onClose} />
      </Command.List>
      <p role="status" className="px-3 pt-2 text-quiet">
        {isLooking && found.length === 0 && "Looking…"}
        {nothing && "Nothing in this book fits. Fewer or other words may."}
        {failure !== "" && `It cannot be looked for: ${failure}.`}
      </p>
    </Command>
  );
}

const valueOf = ({ kind, id }: Found): string => `${kind} ${id}`;
const valueOfCommand = ({ name }: NamedCommand): string => `command ${name}`;

interface Choice {
  readonly value: string;
  readonly choose: (value: string) => void;
}

/** The line in hand: the first of what was found, until the person goes to another one. */
function useChoice(first: string, found: readonly Found[], words: string): Choice {
  const [chosen, setChosen] = useState({ value: "", first: "", found, words });
  const isStill = chosen.first === first && chosen.found === found && chosen.words === words;
  return {
    value: isStill ? chosen.value : first,
    choose: (value) => setChosen({ value, first, found, words }),
  };
}

const begins = ({ name }: NamedCommand, words: string): boolean =>
  words.trim() !== "" && name.toLowerCase().startsWith(words.trim().toLowerCase());

function CommandItems({
  commands,
  onClose,
}: {
  readonly commands: readonly NamedCommand[];
  readonly onClose: () => void;
}): ReactElement {
  return (
    <>
      {commands.map((command) => (
        <Command.Item
          key={command.name}
          value={valueOfCommand(command)}
          onSelect={() => {
            onClose();
            command.run();
          }}
          className={ITEM}
        >
          <span className="min-w-0 flex-1">{command.name}</span>
          <span className="text-fine text-quiet">{command.keys}</span>
          <span className="w-20 text-right text-fine text-quiet">command</span>
        </Command.Item>
      ))}
    </>
  );
}

function FoundLine({ found }: { readonly found: Found }): ReactElement {
  return (
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
}

/** What of the book fits the words; the last answer stands until the next one comes. */
function useFound(words: string): {
  readonly found: readonly Found[];
  readonly failure: string;
  readonly isLooking: boolean;
} {
  const { entry } = useBook();
  const [answer, setAnswer] = useState<{ words: string; found: readonly Found[] }>({
    words: "",
    found: [],
  });
  const [failure, setFailure] = useState("");
  useEffect(() => {
    let isWanted = true;
    if (words.trim() === "") return undefined;
    search()
      .find(entry.database, words, MOST)
      .then(
        (found) => isWanted && setAnswer({ words, found }),
        (error: unknown) => isWanted && setFailure(errorWords(error)),
      );
    return () => {
      isWanted = false;
    };
  }, [entry.database, words]);
  const isEmpty = words.trim() === "";
  return {
    found: isEmpty ? NOTHING : answer.found,
    failure,
    isLooking: !isEmpty && answer.words !== words,
  };
}
