/** What words of the trade and of this program mean that are not everyday speech: the glossary's own sentences. */
export const MEANINGS = {
  assumed: "said to have been done without a record of it",
  claim: "a specification code or approval that a product's label says it meets",
  doubtful: "standing on a meter that is stale or stopped, or with a limit that is unknown",
  estimated: "reckoned and not read from the dial",
  fitment: "a part as a machine takes it: where, on which side, how many a service",
  "follow-up": "a task due once after another was done",
  governs: "of a limit: decides the date of its task",
  grace: "what a limit may be exceeded by before it is overdue",
  "hand-over": "taking what another copy of the book holds into this one",
  hard: "of a limit: required by law or warranty, without grace",
  journey: "a spell of use, away or of a season, that a machine is made ready for",
  ladder: "stacked services, each larger one including the smaller",
  "laid up": "on a day without expected use; forecasts pass over it",
  life: "what a machine has really run, over all its dials",
  "life unused": "the share of an interval thrown away by doing a turn early",
  plate: "what belongs in and on a machine: fluids, service points, specifications, fitments",
  reach: "the drawing of how far each task still carries",
  reminder:
    "a code the machine itself raises; raised, done, logged and reset are facts of their own",
  school: "a way of setting intervals, such as handbook or cautious",
  "service point": "where fluid goes in or out, is checked or greased",
  stale: "of a meter: not read for too long",
  turn: "one time a task is done or falls due",
  window: "the days within which a task counts as due or soon",
  visit:
    "work on one machine on one day; proposed, accepted (in the book) or pinned (its day settled with others)",
} as const;

/** A word whose meaning can be opened where it stands. */
export type MeaningWord = keyof typeof MEANINGS;

/** The words of a text whose meaning can be opened, each once, in the order of the glossary. */
export function meaningsIn(text: string): MeaningWord[] {
  const words = ` ${text.toLowerCase().replace(/[^\p{L}-]+/gu, " ")} `;
  return (Object.keys(MEANINGS) as MeaningWord[]).filter((word) => words.includes(` ${word} `));
}
