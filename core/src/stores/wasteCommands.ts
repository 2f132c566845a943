import type { CommandContext, CommandResult } from "../book/change/command.js";
import { put } from "../book/change/change.js";
import { failure, success } from "../book/change/result.js";
import type { BookIssue } from "../book/file/issue.js";
import { issuesOf } from "../book/file/issuesOf.js";
import type { Amount } from "../book/records/amounts.js";
import type { ContainerId } from "../book/records/ids.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { Container, WasteKind, WasteMove } from "../book/records/waste.js";
import { standingFor } from "../book/slice/currentRecords.js";
import type { SharedSlice } from "../book/slice/slice.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";

/** What stands in the way of a move of waste, or of a container. */
export type WasteIssue =
  | BookIssue
  | { readonly code: "waste-moved-later" }
  | { readonly code: "container-missing" }
  /** Oil and coolant, brake fluid and fuel are never one: a container is for one kind. */
  | { readonly code: "other-kind"; readonly container: string; readonly holds: WasteKind }
  | { readonly code: "where-missing" }
  | { readonly code: "waste-move-missing" }
  | { readonly code: "holds-something" };

/** A move of waste as it is told. */
export interface WasteTold {
  readonly kind: WasteKind;
  readonly container: ContainerId | null;
  readonly amount: Amount;
  readonly why: WasteMove["why"];
  readonly date: string;
  readonly where: string;
  readonly paper: string;
  readonly note: string;
}

const said = (key: string, value: string): object =>
  value.trim() === "" ? {} : { [key]: value.trim() };

/**
 * Writes down waste that was put into a container, or handed in. Refused: a container of another kind, so that kinds are never
 * mixed; a day to come; handed in without where; an amount of 0.
 */
export function moveWaste(
  { containers }: SharedSlice<"containers">,
  told: WasteTold,
  context: CommandContext,
): CommandResult<WasteIssue> {
  const { kind, container: id, amount, why, date, where, paper, note } = told;
  if (dayOf(date) > context.today) return failure([{ code: "waste-moved-later" }]);
  if (why === "handed-in" && where.trim() === "") return failure([{ code: "where-missing" }]);
  const container = containers.find((one) => one.id === id);
  if (id !== null && container === undefined) return failure([{ code: "container-missing" }]);
  if (container !== undefined && container.kind !== kind) {
    return failure([{ code: "other-kind", container: container.name, holds: container.kind }]);
  }
  const move: WasteMove = {
    ...{ id: context.newId() as WasteMove["id"], seq: context.nextSeq(), date, kind },
    ...{ ...(id === null ? {} : { container: id }), amount, why },
    ...{ ...said("where", where), ...said("paper", paper), ...said("note", note) },
  };
  const issues = issuesOf(RECORD_SCHEMAS.wasteMoves, move, []);
  if (issues.length > 0) return failure(issues);
  return success({ command: "move-waste", records: [put("wasteMoves", move)] });
}

/** Strikes a move of waste out: it was mistaken. */
export function strikeWaste(
  { wasteMoves }: SharedSlice<"wasteMoves">,
  id: string,
  context: CommandContext,
): CommandResult<WasteIssue> {
  const move = standingFor(wasteMoves, id);
  if (move === null) return failure([{ code: "waste-move-missing" }]);
  const { revision: _, ...rest } = move;
  const own = { id: context.newId() as WasteMove["id"], seq: context.nextSeq() };
  const struck = { ...rest, ...own, replaces: move.id, void: true };
  return success({ command: "strike-waste", records: [put("wasteMoves", struck)] });
}

/**
 * Keeps a container. Where it comes into use the one of its kind that was in use is no more, from that day on; a container that anything
 * went into keeps its kind (`isEmpty` says that nothing did).
 */
export function keepContainer(
  { containers }: SharedSlice<"containers">,
  container: Container,
  isEmpty: boolean,
  context: CommandContext,
): CommandResult<WasteIssue> {
  const before = containers.find(({ id }) => id === container.id) ?? null;
  if (before !== null && before.kind !== container.kind && !isEmpty) {
    return failure([{ code: "holds-something" }]);
  }
  const issues = issuesOf(RECORD_SCHEMAS.containers, container, []);
  if (issues.length > 0) return failure(issues);
  const others = containers.filter(
    ({ id, kind, inUse }) =>
      container.inUse === true && id !== container.id && kind === container.kind && inUse === true,
  );
  return success({
    command: "keep-container",
    records: [
      { section: "containers", id: container.id, before, after: container },
      ...others.map((one) => ({
        ...{ section: "containers" as const, id: one.id, before: one },
        after: { ...one, inUse: false, until: formatDay(context.today) },
      })),
    ],
  });
}
