/** The fluid system that the work of a task empties and fills again. */
export const USED_FLUIDS: Readonly<Record<string, string>> = {
  "t-pump-oil": "f-pump-oil",
  "t-gen-oil": "f-gen-oil",
  "t-gen-cool": "f-gen-cool",
  "t-mower-oil": "f-mow-oil",
  "t-mower-hydraulic": "f-mow-hyd",
  "t-hatch-oil": "f-hat-oil",
  "t-hatch-brake-fluid": "f-hat-brake",
  "t-hatch-gearbox": "f-hat-box",
  "t-bus-oil": "f-bus-oil",
  "t-bus-gearbox": "f-bus-box",
  "t-bus-brake-fluid": "f-bus-brake",
  "t-bus-coolant": "f-bus-cool",
  "t-lunch-oil": "f-lun-oil",
  "t-lunch-brake": "f-lun-brake",
  "t-scoot-oil": "f-sco-oil",
  "t-post-brake": "f-post-brake",
  "t-amb-oil": "f-amb-oil",
  "t-amb-transfer": "f-amb-transfer",
  "t-amb-brake": "f-amb-brake",
  "t-grit-oil": "f-grit-oil",
  "t-mini-oil": "f-mini-oil",
  "t-mini-brake": "f-mini-brake",
  "t-tow-oil": "f-tow-oil",
  "t-lorry-oil": "f-lor-oil",
  "t-carr-oil": "f-carr-oil",
  "t-carr-hyd": "f-carr-hyd",
};

/** Work that was others': what they billed, and whether it was a fee of an office. */
export const BILLED: Readonly<Record<string, readonly ["shop" | "fee", number]>> = {
  "t-bus-test": ["fee", 68],
  "t-bus-lift": ["shop", 145],
  "t-hatch-test": ["fee", 54],
  "t-grit-test": ["fee", 92],
  "t-grit-tacho": ["shop", 118],
  "t-grit-bearings": ["shop", 310],
  "t-mini-test": ["fee", 68],
  "t-amb-test": ["fee", 54],
  "t-lunch-test": ["fee", 54],
};

/** Work the maker paid for. */
export const UNDER_WARRANTY: ReadonlySet<string> = new Set(["t-post-sliders", "t-gen-rcd"]);
