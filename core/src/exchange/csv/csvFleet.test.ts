import { csvQuestion } from "./csvIssue.js";
import { stored, plan, issues, states, doubts, brought, FLEET } from "../../../test/csvTables.js";

describe("machines, tasks, parts and entries", () => {
  test("machines are added with their meters and a place that is not there yet", () => {
    const found = plan(
      stored({}),
      `Tag|Name|Place|In service|Counts in
       21|Snow blower|Moor barn|1.12.2020|h
       21||||km
       22|Roller|moor barn||`,
    );
    expect(states(found)).toEqual(["new", "new"]);
    expect(doubts(found)).toEqual(["2+3: place-unknown", "4: place-unknown"]);
    const after = brought(stored({}), found);
    expect(after.places).toHaveLength(1);
    expect(after.machines?.[1]).toMatchObject({
      meters: [
        { id: "hrs", measure: "hours" },
        { id: "odo", unit: "km" },
      ],
      inService: "2020-12-01",
      place: after.places?.[0]?.id,
    });
  });

  test("an empty cell leaves what stands, and rows of one record may not disagree", () => {
    const found = plan(FLEET, "Tag|Name|Kind|Note\nV1|Van|lorry|\nV1|Bus||");
    expect(issues(found)).toEqual([
      'Row 3, Name: expected the same as in row 2, or nothing (there is "Bus")',
    ]);
    const edited = plan(FLEET, "Tag|Name|Kind|Note\n07||tricycle|");
    expect(edited.items[0]?.fields.map(({ name }) => name)).toEqual(["kind"]);
    expect(brought(FLEET, edited).machines?.[1]).toMatchObject({
      kind: "tricycle",
      note: " two\nlines; one tab\t",
    });
  });

  test("tasks come row by row, and may name each other", () => {
    const found = plan(
      FLEET,
      `Machine|Task|Every|Months|With each turn of|Every so many turns
       V1|Belt|60000|48||
       V1|Pulley|||Belt|2
       V1|oil|20000 km|||`,
    );
    expect(issues(found)).toEqual([]);
    expect(states(found)).toEqual(["new", "new", "changed"]);
    const [belt, pulley] = found.items.map(
      ({ record }) => record as unknown as Record<string, unknown>,
    );
    expect(belt?.["regimes"]).toEqual({
      handbook: [{ meter: "odo", every: 60000 }, { months: 48 }],
    });
    expect(pulley?.["nth"]).toEqual({ of: belt?.["id"], every: 2 });
    const oil = brought(FLEET, found).tasks?.find(({ id }) => id === "oil");
    expect(oil?.regimes).toMatchObject({ handbook: [{ every: 20000 }], measured: [] });
  });

  test("each thing wrong with a task is said where it stands", () => {
    const found = plan(
      FLEET,
      `Machine|Task|Every|Months|Grace|With each turn of|At|Each use
       V1|a||1.5|||| 
       V1|b|0|||||
       V1|c||||nobody||
       V1|d|5|6|7|||
       V1|e|||||5000;1000|
       V1|f|x|||||sometimes
       V1|g|||||| `,
    );
    expect(issues(found)).toEqual([
      'Row 2, Months: expected a whole number above 0 (there is "1.5")',
      'Row 3, Every: expected a number above 0 (there is "0")',
      'Row 4, With each turn of: expected the name or the id of another task of the same machine (there is "nobody")',
      'Row 5, Grace: expected a row for each limit, as a grace is in the unit of one of them (there is "7")',
      'Row 6, At: expected milestones above 0, each above the one before (there is "5000;1000")',
      'Row 7, Every: expected a figure of at least 0 (there is "x")',
      'Row 7, Each use: expected before or after (there is "sometimes")',
      "Row 8, Every: expected how often: a distance, hours, months or days, or the task it goes with; this cell is empty",
    ]);
  });

  test("prices of parts stand by their source", () => {
    const book = { ...FLEET, parts: FLEET.parts?.slice(0, 1) ?? [] };
    const found = plan(
      book,
      `Part|Number|Source|Price
       Filter|'=12-3|Ferry Motors|10.80
       Filter|'=12-3|Post|9
       Belt|B-1||
       Belt|B-2|Post|dear`,
    );
    expect(issues(found)).toEqual([
      'Row 5, Price: expected a figure of at least 0 (there is "dear")',
    ]);
    expect(brought(book, found).parts?.[0]?.prices).toEqual([
      { source: "Skarrow Stores", price: 12.5, on: "2026-01-01" },
      { source: "Ferry Motors", price: 10.8 },
      { source: "Post", price: 9 },
    ]);
  });

  test("work that is no task of the machine goes with the note", () => {
    const found = plan(
      FLEET,
      `Date|Machine|Work|Odometer|Remarks
       1/2/2026|V1|oil; new mirror|42 100|left side
       1/2/2026|V1|oil|hrs 5; odo 42100|
       1/2/2026|V1|oil|bell 3|`,
    );
    expect(doubts(found)).toEqual(["2: work-unknown"]);
    expect(found.items[0]?.record).toMatchObject({ tasks: ["oil"], note: "new mirror; left side" });
    expect(found.items[1]?.record).toMatchObject({ meters: { hrs: 5, odo: 42100 } });
    expect(issues(found)).toEqual([
      'Row 4, Odometer: expected a meter of V1 (it has odo, hrs) (there is "bell 3")',
    ]);
  });
});

describe("what is wrong with a table", () => {
  test.each([
    ["", "Row 1: expected headings of columns, and below them a row for each of the readings"],
    ["Machine|Date|Reading", "Row 1: expected rows below the headings"],
    [
      "Machine|Reading\nV1|5",
      "Row 1, Date: expected a column that holds this, as readings need it",
    ],
    [
      "Date|Reading\n1.1.2026|5",
      "Row 1, Machine: expected a column with the numbers of the machines",
    ],
    [
      "Machine|Date|Reading\nV1|1.1.2026|5|6",
      'Row 2: expected at most 3 cells, as there are headings (it has 4) (there is "6")',
    ],
    [
      "Machine|Date|Reading|Everything else\nV1|1.1.2026|5|{",
      'Row 2, Everything else: expected an object as JSON, such as {} (there is "{")',
    ],
    [
      'Machine|Date|Reading|Everything else\nV1|1.1.2026|5|{"void":1}',
      'Row 2, Everything else: expected true or false (there is "{\\"void\\":1}")',
    ],
    [
      "Machine|Date|Reading|Takes the place of\nV1|1.1.2026|5|nobody",
      'Row 2, Takes the place of: expected the id of another of the readings (there is no "nobody")',
    ],
    [
      "Machine|Date|Reading|Estimated\nV1|31.2.2026|5|perhaps",
      'Row 2, Date: expected a date as day, month, year (there is "31.2.2026")',
    ],
  ])("%s", (text, expected) => {
    expect(issues(plan(FLEET, text, "readings"))[0]).toBe(expected);
  });

  test("a row cut short is in doubt", () => {
    expect(doubts(plan(FLEET, "Machine|Date|Reading|Note\nV1|1.3.2026|43000"))).toEqual([
      "2: row-short",
    ]);
  });
});

describe("tables as workshops have them", () => {
  test("machines bring the figures of their dials, in one pass with their meters", () => {
    const found = plan(
      FLEET,
      `Unit No|Vehicle type|Odometer (mi)|Hours|Date read
       51|lorry|52000|1200|1.11.2026
       52|mower||310|
       V1||27000||1.11.2026
       53|trailer|||`,
    );
    expect(issues(found)).toEqual([]);
    expect(states(found)).toEqual(["new", "new", "changed", "new"]);
    const after = brought(FLEET, found);
    const meters = after.machines
      ?.slice(-3)
      .map((one) => (one.meters ?? []).map(({ unit }) => unit));
    expect(meters).toEqual([["h", "mi"], ["h"], []]);
    const added = after.readings?.slice(-4).map(({ meter, date, value }) => [meter, date, value]);
    expect(added).toEqual([
      ["hrs", "2026-11-01", 1200],
      ["odo", "2026-11-01", 52000],
      // Without a day of its own it is of today, and 27 000 miles are kilometres on this dial.
      ["hrs", "2026-11-23", 310],
      ["odo", "2026-11-01", 43452.3],
    ]);
    // The machine itself stays as it is, and the same table again says nothing new.
    expect(after.machines?.[0]).toEqual(FLEET.machines?.[0]);
    const again = plan(after, "Unit No|Odometer (mi)|Date read\nV1|27000|1.11.2026");
    expect(states(again)).toEqual(["same"]);
  });

  test("a figure that its meter speaks against is in doubt, and one that cannot be told is refused", () => {
    const back = plan(FLEET, "Unit No|Mileage\nV1|900", "machines");
    expect(doubts(back)).toEqual(["2: figure-in-doubt"]);
    const rise = plan(FLEET, "Unit No|Mileage\nV1|943150", "machines");
    expect(doubts(rise)).toEqual(["2: figure-in-doubt"]);
    const taken = brought(FLEET, rise);
    expect(taken.readings?.at(-1)).toMatchObject({ value: 943150, confirmed: true });
    expect(taken.machines?.[0]).not.toHaveProperty("confirmed");
    expect(doubts(plan(FLEET, "Unit No|km|As of\n60|5|1.1.2030", "machines"))).toEqual([
      "2: in-future",
    ]);
    expect(issues(plan(FLEET, "Unit No|Mileage|Hours\n60|5|\n61||7 km", "machines"))).toEqual([
      'Row 2, Mileage: expected the figure with its unit (84350 km), or a unit for the distances of the table (there is "5")',
      'Row 3, Hours: expected hours, as this column holds them (there is "7 km")',
    ]);
  });

  test("a registration names a machine where it has no number of the house, and finds it again", () => {
    const found = plan(FLEET, "Registration|Name|Type\nSK 12 TEN|Bus|bus");
    const after = brought(FLEET, found);
    expect(after.machines?.at(-1)).toMatchObject({ tag: "SK 12 TEN", registration: "SK 12 TEN" });
    const tagged = after.machines?.map((one) => (one.name === "Bus" ? { ...one, tag: "B1" } : one));
    const renamed = { ...after, machines: tagged ?? [] };
    const readings = plan(renamed, "Registration|Date|Reading|Unit\nsk12-ten|1.11.2026|5|km");
    expect(issues(readings)).toEqual(["Row 2, Meter: expected a machine with a meter"]);
    const again = plan(renamed, "Registration|Name\nSK12TEN|Coach");
    expect(states(again)).toEqual(["changed"]);
    expect(brought(renamed, again).machines?.at(-1)).toMatchObject({ tag: "B1", name: "Coach" });
  });

  test("readings of distance and of hours stand in one row", () => {
    const found = plan(
      FLEET,
      `Vehicle|Date|Odometer|Hours
       V1|1.11.2026|43000|20
       V1|2.11.2026||21
       07|2.11.2026||21
       V1|3.11.2026||x
       V1|4.11.2026||`,
      "readings",
    );
    const said = found.items.map(({ record }) => record as Record<string, unknown> | null);
    expect(said.map((one) => one && [one["meter"], one["value"]])).toEqual([
      ...[["odo", 43000], ["hrs", 20], ["hrs", 21], null, null, null],
    ]);
    expect(issues(found)).toEqual([
      "Row 4, Meter: expected a machine with a meter",
      'Row 5, Hours: expected a figure of at least 0 (there is "x")',
      "Row 6, Odometer: expected the figure of the dial; this cell is empty",
    ]);
  });

  test("entries and tasks take hours of their own column", () => {
    const logged = plan(FLEET, "Machine|Date|Work|Odometer|Hours\nV1|1.11.2026|oil|43000|20");
    expect(logged.items[0]?.record).toMatchObject({ meters: { odo: 43000, hrs: 20 } });
    const tasks = plan(
      FLEET,
      `Machine|Task|Interval (km)|Interval (hours)|Months
       V1|Belt|60000|900|48
       V1|Pump||250|
       V1|Hose||0|
       07|Chain||10|`,
    );
    expect(issues(tasks)).toEqual([
      'Row 4, Interval (hours): expected a number above 0 (there is "0")',
      'Row 5, Interval (hours): expected a machine with a meter (there is "10")',
    ]);
    const limits = tasks.items.map(
      ({ record }) =>
        (record as { regimes?: Record<string, unknown> } | null)?.regimes?.["handbook"],
    );
    expect(limits.slice(0, 2)).toEqual([
      [{ meter: "odo", every: 60000 }, { meter: "hrs", every: 900 }, { months: 48 }],
      [{ meter: "hrs", every: 250 }],
    ]);
  });

  test("a row that is there twice, or contradicts an earlier one, leaves the earlier one standing", () => {
    const found = plan(
      FLEET,
      `Unit No|Name|Counts in
       71|Digger|h
       71|Digger|h
       71|Loader|km
       71||h
       72|Roller|h`,
    );
    expect(states(found)).toEqual(["new", "repeated", "refused", "refused", "new"]);
    expect(issues(found)).toEqual([
      'Row 4, Name: expected the same as in row 2, or nothing (there is "Loader")',
      "Row 5, Meter: expected another meter than row 2 speaks of",
    ]);
    const names = brought(FLEET, found).machines?.map(({ name }) => name);
    expect(names?.slice(-2)).toEqual(["Digger", "Roller"]);
    const tasks = plan(
      FLEET,
      `Machine|Task|Every|Note|With each turn of
       V1|Belt|60000|left|
       V1|Belt|60000|right|
       V1|Pulley|||Belt`,
    );
    expect(issues(tasks)).toEqual([
      'Row 3, Note: expected the same as in row 2, or nothing (there is "right")',
      "Row 4, Every so many turns: expected with every how many of its turns, a whole number above 0",
    ]);
  });

  test("what is in doubt for many rows alike is one question", () => {
    const found = plan(
      FLEET,
      `Unit No|Place|Responsible
       81|North yard|Ina Tarn
       82|north yard|ina tarn
       83|North yard|
       84||`,
    );
    const questions = found.items.map(({ doubts: own }) => csvQuestion(own));
    expect(questions[0]).not.toBeNull();
    expect(questions[1]).toBe(questions[0]);
    expect(questions[2]).not.toBe(questions[0]);
    expect(questions[3]).toBeNull();
    const after = brought(FLEET, found);
    expect(after.people).toMatchObject([{ name: "Ina Tarn", initials: "IT" }]);
    expect(after.machines?.at(-1)).not.toHaveProperty("person");
  });
});
