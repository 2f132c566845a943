import { tableOfFeed, tableOfText, textOfGuarded } from "./csvText.js";

describe("JSON lines as a table", () => {
  test("each object is a row under the names of all fields, in the order in which they come", () => {
    const text = '{"machine":"18","value":41350}\n{"machine":"05","date":"2026-11-20"}\n';
    expect(tableOfText(text)).toEqual({
      rows: [
        ["machine", "value", "date"],
        ["18", "41350", ""],
        ["05", "", "2026-11-20"],
      ],
      broken: [],
    });
  });

  test("what is no object is told with its row, empty lines passed over", () => {
    const { rows, broken } = tableOfText('{"a":1}\r\n\r\n[1]\r\n{"a":2}\r\nno line of it\r\n');
    expect(rows).toEqual([["a"], ["1"], [""], ["2"], [""]]);
    expect(broken).toEqual([
      { row: 3, expected: "a JSON object on a line of its own" },
      { row: 5, expected: "a JSON object on a line of its own" },
    ]);
  });

  test("null is empty, and what is neither text nor figure stands as it was written", () => {
    expect(tableOfText('{"a":null,"b":true,"c":{"d":1}}').rows[1]).toEqual(["", "true", '{"d":1}']);
  });
});

describe("files of a feed as one table", () => {
  const one = {
    rows: [
      ["machine", "value"],
      ["18", "1"],
      ["", ""],
    ],
    broken: [],
  };

  test("rows of several files stand under all their headings, marked as the feed's", () => {
    const other = {
      rows: [
        ["value", "machine", "unit"],
        ["2", "05", "km"],
      ],
      broken: [],
    };
    expect(tableOfFeed([one, other]).rows).toEqual([
      ["machine", "value", "unit", "Source"],
      ["18", "1", "", "feed"],
      ["", "", "", ""],
      ["05", "2", "km", "feed"],
    ]);
  });

  test("a file that says itself where its figures come from is believed", () => {
    const said = {
      rows: [
        ["machine", "source"],
        ["18", "plug"],
      ],
      broken: [],
    };
    expect(tableOfFeed([said]).rows).toEqual([
      ["machine", "source"],
      ["18", "plug"],
    ]);
  });

  test("a row that could not be taken apart is told where it stands in the whole", () => {
    const other = { rows: [["machine"], ["05"], ["x"]], broken: [{ row: 3, expected: "a quote" }] };
    expect(tableOfFeed([one, other]).broken).toEqual([{ row: 5, expected: "a quote" }]);
  });
});

test("cells that a spreadsheet would take for a formula are guarded, figures below 0 are not", () => {
  expect(textOfGuarded([["=1+1", "-4.5", "-x"]])).toBe("\uFEFF'=1+1,-4.5,'-x\r\n");
});
