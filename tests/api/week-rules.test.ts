import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { WeekView } from "~/contract/week";
import { fullGym } from "~/core/exercise/kit";
import { addDays } from "~/core/schedule/local-day";
import { at, atClinic, begin, item } from "~tests/harness/at-clinic";
import { signedIn, type Client } from "~tests/harness/client";

/** What a week keeps apart beyond minutes and kit: what is stopped, a joint that swelled, one muscle's heavy days; and what lies ahead. */
const clinic = atClinic();
const monday = "2026-03-09";
const today = "2026-03-10";
let id = "";
let client: Client;
/** The clock set on; whoever works here signs in anew. */
const later = async (at: string) => {
  clinic.servers.setClock(at);
  client = await signedIn(clinic.servers.urls[0] as string);
};

const read = async (from = today) => (await client.get(at(id, `week?from=${from}`))).body as WeekView;
const bodyOf = ({ question, placed }: WeekView, more: object = {}) => ({
  id: uuid(),
  startsOn: question.days[0]?.date,
  days: question.days.map(({ places: _places, spared: _spared, ...day }) => day),
  locks: [],
  placed,
  ...more,
});
const daysOf = ({ placed }: WeekView, itemId: string) =>
  placed.filter((one) => one.item === itemId).map(({ date }) => date);

beforeAll(async () => {
  client = clinic.client;
  id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"], {
    daysPerWeek: 6,
    minutesPerDay: 60,
    kit: [...fullGym],
  });
  for (const variantId of ["squat-free", "split-squat-free"])
    expect((await client.post(at(id, "items"), item(variantId))).body.problems ?? []).toEqual([]);
});

it("heavy work of one muscle stands on no two days in a row, whichever exercise does it", async () => {
  const week = await read(addDays(monday, 7));
  const heavy = week.question.items.filter(({ heavyMuscles }) => heavyMuscles?.includes("quadriceps"));
  expect(heavy.length).toBe(2);
  const dates = [...new Set(heavy.flatMap((one) => daysOf(week, one.id)))].sort();
  expect(dates.length).toBeGreaterThan(1);
  for (const [n, date] of dates.entries()) if (n > 0) expect(date).not.toBe(addDays(dates[n - 1] ?? "", 1));
  const [first, second] = heavy;
  const [on = ""] = daysOf(week, first?.id ?? "");
  const beside = [...week.placed, { item: second?.id ?? "", date: addDays(on, 1) }];
  const refused = await client.post(at(id, "week"), bodyOf({ ...week, placed: beside }));
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused.body.problems)).toMatch(/heavy again for muscles/);
});

it("a day that nobody sent is no day of the record: what is spared comes from it alone", async () => {
  const week = await read(addDays(monday, 7));
  const days = bodyOf(week).days.map((day) => ({ ...day, spared: true }));
  expect((await client.post(at(id, "week"), bodyOf(week, { days }))).status).toBe(422);
});

it("a day at the clinic has its kit, a day away only what any room has; a training parts the day for the phone", async () => {
  const person = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"], { daysPerWeek: 7, kit: [] });
  expect(
    (
      await client.post(at(person, "items"), {
        ...item("leg-press-both"),
        against: "Comes to the clinic once a week",
      })
    ).status,
  ).toBe(201);
  const next = addDays(monday, 7);
  const week = (await client.get(at(person, `week?from=${next}`))).body as WeekView;
  const press = week.question.items.find(({ kit }) => kit.includes("leg-press"))?.id ?? "";
  expect(daysOf(week, press)).toEqual([]);
  const days = bodyOf(week).days.map((day, n) => ({
    ...day,
    ...(n === 2 ? { where: "clinic" } : n === 3 ? { where: "away", training: true } : {}),
  }));
  const solved = await client.post(at(person, "week-solutions"), { startsOn: next, days, locks: [] });
  expect(solved.body.placed.filter((one: { item: string }) => one.item === press)).toEqual([
    { item: press, date: addDays(next, 2) },
  ]);
  const body = bodyOf({ ...week, placed: solved.body.placed }, { days });
  const kept = await client.post(at(person, "week"), body);
  expect(kept.body.problems ?? []).toEqual([]);
  expect(kept.body.week.question.days[2].places[0].place).toBe("clinic");
  const handout = (await client.get(at(person, "handout"))).body;
  const [, , clinicDay, awayDay] = handout.days.filter((day: { date: string }) => day.date >= next);
  expect(clinicDay.where).toBe("clinic");
  expect(awayDay).toMatchObject({ where: "away", beforeTraining: [] });
});

describe("after a morning that was more swollen", () => {
  beforeAll(async () => {
    const before = await read();
    const [squat] = before.question.items.filter(({ heavyLegs }) => heavyLegs);
    const session = await client.post(at(id, "sessions"), {
      id: uuid(),
      occurredAt: "2026-03-10T08:00:00.000Z",
      painBefore: 0,
      items: [
        {
          itemId: squat?.id,
          sets: [{ side: "both", reps: 8, painDuring: 1, effort: 5, faults: [], painSite: "episode" }],
        },
      ],
    });
    expect(session.body.problems ?? []).toEqual([]);
    await later("2026-03-11T07:00:00.000Z");
    const report = await client.post(at(id, "reports"), {
      id: uuid(),
      trainingDate: today,
      pain: 1,
      swelling: "more",
    });
    expect(report.body.problems ?? []).toEqual([]);
  });

  it("nothing heavy or springing is laid on that day or the next, and by hand it is refused in words", async () => {
    await later("2026-03-11T07:00:00.000Z");
    const week = await read();
    const spared = week.question.days.filter((day) => day.spared).map(({ date }) => date);
    expect(spared).toEqual(["2026-03-11", "2026-03-12"]);
    const heavy = week.question.items.filter(({ heavyLegs }) => heavyLegs);
    for (const one of heavy) for (const date of daysOf(week, one.id)) expect(spared).not.toContain(date);
    const forced = [...week.placed, { item: heavy[0]?.id ?? "", date: "2026-03-12" }];
    const refused = await client.post(at(id, "week"), bodyOf({ ...week, placed: forced }));
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body.problems)).toMatch(/too soon after a swollen joint/);
  });
});

it("what is stopped is laid nowhere and missed by nobody; a kept week with it cannot be kept again", async () => {
  await later("2026-03-11T08:00:00.000Z");
  const next = addDays(monday, 7);
  const before = await read(next);
  expect((await client.post(at(id, "week"), bodyOf(before))).status).toBe(201);
  const signal = await client.post(at(id, "signals"), { id: uuid(), code: "knee-locked" });
  expect(signal.body.problems ?? []).toEqual([]);
  const after = await read(next);
  const stopped = after.question.items.filter(({ suspended }) => suspended);
  expect(stopped.length).toBeGreaterThan(0);
  for (const { minDays } of stopped) expect(minDays).toBe(0);
  const refused = await client.post(at(id, "week"), bodyOf(after));
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused.body.problems)).toMatch(/stopped until that is cleared/);
  const solved = await client.post(at(id, "week-solutions"), {
    startsOn: next,
    days: bodyOf(after).days,
    locks: [],
  });
  const laid = solved.body.placed.map((one: { item: string }) => one.item);
  for (const one of stopped) expect(laid).not.toContain(one.id);
});

it("four weeks ahead: limits that end by their calendar, and what schedules allow at the earliest", async () => {
  client = await signedIn(clinic.servers.urls[0] as string);
  const runner = await begin({ client }, ["kneecap-pain", "run-and-jump", "steady-run-firm"], {
    limits: [{ kind: "note", origin: "surgeon", says: "Brace outside the house", until: "2026-03-20" }],
  });
  const { ahead } = (await client.get(at(runner, "week"))).body as WeekView;
  expect(ahead.map(({ startsOn }) => startsOn)).toEqual([0, 7, 14, 21].map((days) => addDays(monday, days)));
  expect(ahead[1]?.ends.map(({ says }) => says)).toEqual(["Brace outside the house"]);
  expect(ahead.flatMap(({ steps }) => steps.map(({ on, from, to }) => [on, from, to]))).toEqual([
    ["2026-03-17", 8, 12],
    ["2026-03-24", 12, 16],
    ["2026-03-31", 16, 20],
  ]);
});
