import { again } from "./again.js";

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

/** Loads after so many failures. */
function failing(times: number): jest.Mock<Promise<string>> {
  let left = times;
  return jest.fn(() => {
    left -= 1;
    return left >= 0 ? Promise.reject(new TypeError("Failed to fetch")) : Promise.resolve("part");
  });
}

test.each([0, 1, 2])("a part that fails %d times is had after that", async (times) => {
  const load = failing(times);
  const part = again(load)();
  await jest.runAllTimersAsync();
  expect(await part).toBe("part");
  expect(load).toHaveBeenCalledTimes(times + 1);
});

test("a part that cannot be had fails as the last time", async () => {
  const load = failing(9);
  const failed = expect(again(load)()).rejects.toThrow("Failed to fetch");
  await jest.runAllTimersAsync();
  await failed;
  expect(load).toHaveBeenCalledTimes(3);
});
