import type { CardLack } from "@yonderfell/core";
import type { WorkSource } from "../../session/useWorkSource.js";

/** What the plate does not say, which a card would need. */
export function lackWords(lack: CardLack, { book }: WorkSource): string {
  switch (lack.code) {
    case "system": {
      const task = book.tasks.find(({ id }) => id === lack.task);
      return `which fluid system “${task?.name ?? lack.task}” is on`;
    }
    case "point":
      return `where the ${lack.purpose} point of the ${lack.system} is`;
    case "capacity":
      return `how much the ${lack.system} takes`;
    case "product":
      return `what goes into the ${lack.system}`;
    case "level":
      return `how the level of the ${lack.system} is read`;
    case "vessel":
      return `what the whole of the ${lack.system} holds`;
  }
}
