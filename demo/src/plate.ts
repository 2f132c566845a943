import type {
  CapacityCondition,
  Fluid,
  FluidKind,
  Known,
  Quantity,
  ServicePoint,
  Specification,
  Unit,
} from "@yonderfell/core";

type Own<T> = Partial<Omit<Known<T>, "id" | "machine">>;

/** A fluid of the scenario, of a machine still to be named. */
export type ScenarioFluid = Omit<Known<Fluid>, "machine">;
/** A service point of the scenario. */
export type ScenarioPoint = Omit<Known<ServicePoint>, "machine">;
/** A specification of the scenario. */
export type ScenarioSpecification = Omit<Known<Specification>, "machine">;

/** A quantity as typed. */
export function q(value: number, unit: Unit): Quantity {
  return { value, unit };
}

/** A capacity as one source says it: source, condition, amount, unit, note. */
export type ScenarioCapacity = readonly [string, CapacityCondition, number, Unit, string?];

/** A fluid system with its capacities. */
export function fluid(
  id: string,
  system: string,
  kind: FluidKind,
  capacities: readonly ScenarioCapacity[],
  more: Own<Fluid> = {},
): ScenarioFluid {
  return {
    id,
    system,
    kind,
    capacities: capacities.map(([source, condition, value, unit, note], index) => ({
      id: `${id}-${index + 1}`,
      source,
      condition,
      quantity: q(value, unit),
      ...(note === undefined ? {} : { note }),
    })),
    ...more,
  } as ScenarioFluid;
}

/** A service point. */
export function point(
  id: string,
  purpose: ServicePoint["purpose"],
  name: string,
  more: Own<ServicePoint> & { readonly of?: string } = {},
): ScenarioPoint {
  const { of, ...rest } = more;
  return {
    id,
    purpose,
    name,
    ...(of === undefined ? {} : { fluid: of }),
    ...rest,
  } as ScenarioPoint;
}

/** A specification in words, with what is fitted. */
export function said(
  id: string,
  group: Specification["group"],
  name: string,
  text: string,
  fitted: string | null,
  more: Own<Specification> = {},
): ScenarioSpecification {
  const has = fitted === null ? {} : { fitted: { text: fitted } };
  return { id, group, name, text, source: "handbook", ...has, ...more } as ScenarioSpecification;
}

/** A specification by quantity, with what is fitted. */
export function measured(
  id: string,
  group: Specification["group"],
  name: string,
  between: readonly [Quantity | null, Quantity | null],
  fitted: Quantity | null,
  more: Own<Specification> = {},
): ScenarioSpecification {
  const [least, most] = between;
  const limits = { ...(least === null ? {} : { least }), ...(most === null ? {} : { most }) };
  const has = fitted === null ? {} : { fitted: { quantity: fitted } };
  return {
    id,
    group,
    name,
    ...limits,
    source: "handbook",
    ...has,
    ...more,
  } as ScenarioSpecification;
}
