import { addDays, dayOf } from "../../calendar/dayNumber.js";
import { weekHoursOf, type Workshop } from "./weekHours.js";

const MONDAY = dayOf("2026-11-23");
const WORK = { workdays: [1, 2, 3, 4, 5], closed: [] };

const shopOf = (people: object[], bays: object[], closures: object[] = []): Workshop =>
  ({ people, bays, closures }) as never;

const hoursOf = (shop: Workshop, work = WORK, today = MONDAY, count = 1) =>
  weekHoursOf(shop, work as never, today, count).map(({ hours }) => hours);

test.each([
  [[{ hoursAWeek: 30 }, { hoursAWeek: 20, hasLeft: true }], [{ hoursAWeek: 40 }], 30],
  [[{ hoursAWeek: 30 }, { hoursAWeek: 20 }], [{ hoursAWeek: 40 }], 40],
  [[{}], [{ hoursAWeek: 40 }], 40],
  [[{}], [], null],
])("the hours there are: the lesser of people %j and bays %j", (people, bays, hours) => {
  expect(hoursOf(shopOf(people, bays))).toEqual([hours]);
});

const ANNA = { id: "p", hoursAWeek: 40 };
const BEN = { id: "q", hoursAWeek: 20 };
const PIT = { id: "b", hoursAWeek: 50 };

test("a person away, a bay out of use and a closed workshop take the hours of their days", () => {
  const away = { what: "person", person: "p", from: "2026-11-24", to: "2026-11-25" };
  expect(hoursOf(shopOf([ANNA, BEN], [PIT], [away]))).toEqual([44]);
  const out = { what: "bay", bay: "b", from: "2026-11-20", to: "2026-11-26" };
  expect(hoursOf(shopOf([ANNA, BEN], [PIT], [out]))).toEqual([10]);
  const closed = [{ from: addDays(MONDAY, 3), to: addDays(MONDAY, 7), reason: null }];
  expect(hoursOf(shopOf([ANNA], []), { ...WORK, closed } as never, MONDAY, 2)).toEqual([24, 32]);
});

test("of this week only what is left of it counts, and weekends take nothing", () => {
  const shop = shopOf([ANNA], []);
  expect(hoursOf(shop, WORK, addDays(MONDAY, 3), 2)).toEqual([16, 40]);
  expect(hoursOf(shop, WORK, addDays(MONDAY, 5), 2)).toEqual([0, 40]);
  const over = { what: "person", person: "p", from: "2026-11-27", to: "2026-11-30" };
  expect(hoursOf(shopOf([ANNA], [], [over]), WORK, MONDAY, 2)).toEqual([32, 32]);
});

test("where work is done on no day there are no hours", () => {
  expect(hoursOf(shopOf([ANNA], []), { workdays: [], closed: [] })).toEqual([0]);
});

test("a person and a bay of the same id are told apart", () => {
  const away = { what: "person", person: "p", from: "2026-11-23", to: "2026-11-27" };
  expect(hoursOf(shopOf([BEN], [{ id: "p", hoursAWeek: 10 }], [away]))).toEqual([10]);
});
