export {
  type BoardColumn,
  type BoardGrouping,
  type BoardOf,
  type BoardShown,
  type BoardView,
  boardViewSchema,
} from "./boardView.js";
export type { Booking, Closure } from "./booking.js";
export { CHECK_WAYS, type Check, type Checklist } from "./checklist.js";
export type { FluidUsed } from "./entryWork.js";
export type { Entry, LookAgain, ReminderFactCode } from "./entry.js";
export type { Finding } from "./finding.js";
export type { Job, JobEvent, Method } from "./job.js";
export type { JobStep, MethodStep } from "./step.js";
export { type Capacity, CAPACITY_CONDITIONS, type CapacityCondition, type Fluid } from "./fluid.js";
export type {
  BayId,
  ChecklistId,
  ClosureId,
  EntryId,
  FindingId,
  FitmentId,
  FluidId,
  JobId,
  JourneyId,
  MachineId,
  MeterId,
  PartId,
  PersonId,
  PlaceId,
  ProductId,
  ReadingId,
  ServicePointId,
  SpecificationId,
  TaskId,
  VisitId,
} from "./ids.js";
export { DEFAULT_DAYS_CLEAR, type Journey, type JourneyLoad } from "./journey.js";
export type { Known } from "./known.js";
export type {
  CalendarLimitRecord,
  LimitRecord,
  MeasuredLimitRecord,
  MeterLimitRecord,
} from "./limitRecord.js";
export type { Lesson } from "./lesson.js";
export type { Machine, Meter } from "./machine.js";
export type { MeterChange } from "./meterChange.js";
export { ownValue } from "./ownValue.js";
export type { Order } from "./order.js";
export type { Fitment, Part, Price } from "./part.js";
export type { Picture } from "./picture.js";
export type { Product } from "./product.js";
export { unitOfProduct } from "./productUnit.js";
export type { Reading } from "./reading.js";
export type { RecordOf, Section } from "./recordSchemas.js";
export type { Reminder } from "./reminder.js";
export { nextRevision, revisionOf, withRevision } from "./revision.js";
export type { Round } from "./round.js";
export type { Sample } from "./sample.js";
export type { RunningIn, RunningInStage } from "./runningIn.js";
export { SECTION_WORDS } from "./sectionWords.js";
export {
  BOOK_FORMAT,
  BOOK_VERSION,
  DATED_SECTIONS,
  LOG_SECTIONS,
  type LogSection,
  OWN_DATED_SECTIONS,
  type OwnDatedSection,
  type DatedSection,
  DECLARED,
  isDated,
  isOwnDated,
  isOwned,
  isShared,
  OWNED_SECTIONS,
  type OwnedSection,
  PLATE_SECTIONS,
  RULE_SECTIONS,
  type RuleSection,
  SECTIONS,
  sectionsOfVersion,
  SHARED_SECTIONS,
  type SharedSection,
} from "./sections.js";
export type { LaidUp, Needed, Stop } from "./service.js";
export { POINT_PURPOSES, type PointPurpose, type ServicePoint } from "./servicePoint.js";
export {
  DEFAULT_PLANNING,
  type Planning,
  planningOf,
  type Settings,
  settingsOf,
} from "./settings.js";
export {
  type Specification,
  SPECIFICATION_GROUPS,
  type SpecificationGroup,
} from "./specification.js";
export type { StockMove } from "./stockMove.js";
export { OUTSIDE_REASONS, type Task, type TaskUse } from "./task.js";
export { type Container, WASTE_KINDS, type WasteKind, type WasteMove } from "./waste.js";
export type { Quote, Visit } from "./visit.js";
export type { Bay, Person, Place } from "./workshop.js";
export { WITHOUT_A_LOOK } from "./verdicts.js";
