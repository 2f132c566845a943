/** A pack as the simulated supplier sells it. */
interface SoldPack {
  readonly size: number;
  readonly unit: "piece" | "L" | "kg";
  readonly price: number;
  /** How many packs are there at once; the rest of an order comes later. */
  readonly stock: number;
}

/** Something the simulated supplier sells. */
export interface Sold {
  readonly number: string;
  readonly name: string;
  readonly equivalents: readonly string[];
  /** The number that has taken its place: that is what comes. */
  readonly supersededBy: string | null;
  readonly packs: readonly SoldPack[];
  /** So many days until it is there. */
  readonly days: number;
}

const sold = (
  number: string,
  name: string,
  price: number,
  more: Partial<Omit<Sold, "packs">> & { readonly pack?: number; readonly stock?: number } = {},
): Sold => {
  const { pack = 1, stock = 8, ...rest } = more;
  return {
    ...{ number, name, equivalents: [], supersededBy: null, days: 2 },
    ...{ packs: [{ size: pack, unit: "piece", price, stock }], ...rest },
  };
};

const fluid = (name: string, packs: readonly (readonly [number, number, number])[]): Sold => ({
  ...{ number: name, name, equivalents: [], supersededBy: null, days: 3 },
  packs: packs.map(([size, price, stock]) => ({ size, unit: "L", price, stock })),
});

/** All that it sells; everything is made up. */
export const SUPPLIER_CATALOGUE: readonly Sold[] = [
  sold("HD 4510", "Oil filter, spin-on", 15.2, { equivalents: ["CF-210"], stock: 3 }),
  sold("HD 4530", "Air filter element", 38, { days: 4 }),
  sold("HD 4521", "Fuel filter with water trap", 29.5, { supersededBy: "HD 4521B", stock: 0 }),
  sold("HD 4521B", "Fuel filter with water trap", 31.4, { stock: 6 }),
  sold("HD 4590", "Cabin filter", 17),
  sold("HD 4760", "Auxiliary belt, 8 ribs", 43.5, { stock: 1, days: 6 }),
  sold("W 24", "Copper washer 24 mm", 0.6, { pack: 10, stock: 40 }),
  sold("W 14", "Aluminium washer 14 mm", 0.4, { pack: 10, stock: 40 }),
  sold("HD 4612 L", "Brake pads, front left with wear lead", 66, { stock: 2 }),
  sold("HD 4612 R", "Brake pads, front right", 61, { stock: 2 }),
  sold("T 58-102", "Oil filter, spin-on", 9.8, { equivalents: ["CF-118"], stock: 2 }),
  sold("T 58-140", "Air filter element, outer", 22, { stock: 1 }),
  sold("T 58-171", "Hydraulic return filter", 27.8),
  sold("BV 160-12", "Flail, forged", 4.1, { pack: 12, stock: 20 }),
  sold("BV 160-40", "Rotor belt, matched set of 3", 58, { stock: 1, days: 9 }),
  sold("P 14-01", "Oil filter, spin-on", 7.4, { equivalents: ["CF-077"] }),
  sold("P 14-22", "Spark plug, long reach", 6.9, { stock: 12 }),
  sold("P 14-10", "Air filter", 11),
  sold("S 7", "Spark plug, small engine", 3.2, { stock: 30 }),
  sold("S 31", "Foam air filter", 5.5),
  sold("WB 600", "Wiper blade 600 mm", 12),
  sold("KF 4510", "Filter kit: filter, two washers", 16.4, { stock: 4 }),
  fluid("Tarnside Semi 5W-30", [
    [5, 31.9, 12],
    [20, 108, 4],
  ]),
  fluid("Fellmaster 15W-40", [
    [20, 84, 3],
    [60, 219, 2],
  ]),
  fluid("Fellmaster Long 10W-40", [[20, 121, 2]]),
  fluid("Ghyll Gear 80W-90", [[20, 94, 2]]),
  fluid("Ghyll Axle 85W-140", [[20, 99, 1]]),
  fluid("Beckflow 46", [[20, 71, 3]]),
];
