/** Something the program can be told to do by name. */
export interface Command {
  readonly name: string;
  /** Other words it may be looked for by. */
  readonly also: string;
  readonly keys: string;
  readonly run: () => void;
}

/** The commands that fit all words, each begun or within a name. */
export function commandsFitting(commands: readonly Command[], words: string): Command[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return commands.filter(({ name, also }) => {
    const text = ` ${name} ${also}`.toLowerCase();
    return wanted.every((word) => text.includes(` ${word}`) || text.includes(word));
  });
}
