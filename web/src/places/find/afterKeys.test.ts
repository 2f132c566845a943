import { afterKeys, isTravel } from "./afterKeys.js";

test("keys lead through the list and stop at its ends", () => {
  expect(afterKeys(["ArrowDown", "ArrowDown"], 0, 5)).toEqual({ place: 2, isTaken: false });
  expect(afterKeys(["ArrowDown", "ArrowDown"], 3, 5)).toEqual({ place: 4, isTaken: false });
  expect(afterKeys(["ArrowUp"], 0, 5)).toEqual({ place: 0, isTaken: false });
  expect(afterKeys(["End", "ArrowUp"], 0, 5)).toEqual({ place: 3, isTaken: false });
  expect(afterKeys(["End", "Home"], 2, 5)).toEqual({ place: 0, isTaken: false });
});

test("what is taken is the line the keys before led to; keys after it lead nowhere", () => {
  expect(afterKeys(["ArrowDown", "Enter", "ArrowDown"], 0, 5)).toEqual({ place: 1, isTaken: true });
});

test("a list that has become shorter, or empty, is not left", () => {
  expect(afterKeys([], 7, 3)).toEqual({ place: 2, isTaken: false });
  expect(afterKeys(["ArrowDown"], 0, 0)).toEqual({ place: 0, isTaken: false });
});

test("other keys are not for the list", () => {
  expect(["Enter", "End"].every(isTravel)).toBe(true);
  expect(["a", "Tab", "toString", "ArrowLeft"].some(isTravel)).toBe(false);
});
