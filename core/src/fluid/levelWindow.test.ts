import { levelWindow, type TemperatureRead } from "./levelWindow.js";

const WINDOW = { from: 35, to: 45 };

/** A reading each second, going by `perMinute` to `last`. */
const going = (last: number, perMinute: number, seconds = 60): TemperatureRead[] =>
  Array.from({ length: seconds + 1 }, (_, at) => ({
    at: at * 1000,
    temperature: last - ((seconds - at) / 60) * perMinute,
  }));

describe("the window in which a level is read", () => {
  test("is open while the fluid is warm enough and not too hot, its ends included", () => {
    const stateAt = (temperature: number) =>
      levelWindow(WINDOW, [{ at: 0, temperature }], 0)?.state;
    expect([34.9, 35, 45, 45.1].map(stateAt)).toEqual(["too cold", "open", "open", "too hot"]);
    expect(levelWindow({ from: 60, to: null }, [{ at: 0, temperature: 200 }], 0)?.state).toBe(
      "open",
    );
    expect(levelWindow(WINDOW, [], 0)).toBeNull();
  });

  test("opens and closes at the rate of the last minute", () => {
    const cold = levelWindow(WINDOW, going(25, 5), 60_000);
    expect(cold).toMatchObject({ state: "too cold", temperature: 25, age: 0 });
    expect([cold?.rate, cold?.minutes]).toEqual([expect.closeTo(5), expect.closeTo(2)]);
    expect(levelWindow(WINDOW, going(40, 10), 60_000)?.minutes).toBeCloseTo(0.5);
    expect(levelWindow(WINDOW, going(37, -1), 60_000)?.minutes).toBeCloseTo(2);
    expect(levelWindow(WINDOW, going(49, -2), 60_000)?.minutes).toBeCloseTo(2);
  });

  test("what goes the other way, or not at all, has no time", () => {
    for (const readings of [going(25, -5), going(50, 5), going(40, 0)]) {
      expect(levelWindow(WINDOW, readings, 60_000)?.minutes).toBeNull();
    }
  });

  test("what passed since the last reading is taken off; past the time it is nothing", () => {
    expect(levelWindow(WINDOW, going(40, 5), 90_000)).toMatchObject({
      age: 30_000,
      minutes: expect.closeTo(0.5) as number,
    });
    expect(levelWindow(WINDOW, going(40, 5), 600_000)?.minutes).toBe(0);
  });

  test("one wild reading does not move the rate, and readings by hand far apart give one too", () => {
    const wild = going(40, 5).map((one, at) => (at === 30 ? { ...one, temperature: 90 } : one));
    expect(levelWindow(WINDOW, wild, 60_000)?.rate).toBeCloseTo(5, 1);
    const byHand = [
      { at: 0, temperature: 20 },
      { at: 300_000, temperature: 30 },
      { at: 600_000, temperature: 38 },
    ];
    expect(levelWindow(WINDOW, byHand, 600_000)).toMatchObject({
      rate: expect.closeTo(1.6) as number,
      minutes: expect.closeTo(7 / 1.6) as number,
    });
  });

  test("a single reading, or two in one moment, tell no rate", () => {
    expect(levelWindow(WINDOW, going(40, 5, 0), 0)).toMatchObject({ rate: null, minutes: null });
    const twice = [
      { at: 5, temperature: 40 },
      { at: 5, temperature: 41 },
    ];
    expect(levelWindow(WINDOW, twice, 5)?.rate).toBeNull();
  });
});
