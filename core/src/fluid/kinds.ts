/** The kinds of fluid a machine holds. */
export const FLUID_KINDS = [
  "engine oil",
  "gear oil",
  "automatic transmission fluid",
  "hydraulic oil",
  "coolant",
  "brake fluid",
  "power steering fluid",
  "differential oil",
  "grease",
  "exhaust fluid",
  "washer fluid",
  "refrigerant",
  "fuel",
  "other",
] as const;
export type FluidKind = (typeof FLUID_KINDS)[number];

/** Kinds that lubricate, of which the grade by cold matters. */
export const OILS: ReadonlySet<FluidKind> = new Set([
  "engine oil",
  "gear oil",
  "automatic transmission fluid",
  "hydraulic oil",
  "differential oil",
]);

/** Kinds of oil of which two for one use mix; gearbox fluids are made for unlike gearboxes and are not among them. */
export const MIXABLE_OILS: ReadonlySet<FluidKind> = new Set([
  "engine oil",
  "gear oil",
  "hydraulic oil",
  "differential oil",
]);

/** Families of coolant by their corrosion inhibitors. Colour proves nothing. */
export const COOLANT_FAMILIES = [
  "conventional",
  "organic acid",
  "hybrid",
  "phosphated",
  "silicated",
] as const;
export type CoolantFamily = (typeof COOLANT_FAMILIES)[number];

/** Types of brake fluid: glycol ethers 3, 4 and 5.1; silicone 5; mineral oil. */
export const BRAKE_TYPES = ["3", "4", "5", "5.1", "mineral"] as const;
export type BrakeType = (typeof BRAKE_TYPES)[number];

/** What an oil is made from. */
export const OIL_BASES = ["mineral", "part synthetic", "full synthetic"] as const;
export type OilBase = (typeof OIL_BASES)[number];
