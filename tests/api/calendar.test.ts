import ICAL from "ical.js";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseloadRow } from "~/contract/clinic";
import type { WeekView } from "~/contract/week";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";
import { demoPassword } from "~demo/clinic";
import { Client, signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer } from "~tests/harness/story";

let servers: Servers;
let clinician: Client;
let assistant: Client;
let other: Client;
let stranger: Client;

beforeAll(async () => {
  servers = await startServers(2);
  const [one = "", two = ""] = servers.urls;
  await addForeignClinic(servers.database.ownerUrl);
  clinician = await signedIn(one);
  assistant = await signedIn(two, "assistant");
  other = new Client(two);
  stranger = new Client(one);
  await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
});
afterAll(() => servers.stop());

const at = (what: string) => `/api/episodes/${fencer}/${what}`;
const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));

/** Keeps the week as it is proposed. @returns dates with work, from today on */
async function keptWeek(): Promise<string[]> {
  const { startsOn, question, placed, today } = (await clinician.get(at("week"))).body as WeekView;
  const days = question.days.map(({ places: _, ...day }) => day);
  const kept = await clinician.post(at("week"), { id: uuid(), startsOn, days, locks: [], placed });
  expect(kept.status).toBe(201);
  return [...new Set(placed.map(({ date }) => date))].filter((date) => date >= today).sort();
}

describe("a patient's days in a calendar", () => {
  let worked: string[];

  it("nothing stands in it before a week is kept; then the days with work, and a morning after each", async () => {
    const before = await clinician.get(at("calendar"));
    expect(before.status).toBe(200);
    expect(before.headers.get("content-type")).toBe("text/calendar; charset=utf-8");
    expect(before.headers.get("content-disposition")).toContain('filename="exercise-days.ics"');
    expect(eventsIn(before.body as string)).toEqual([]);

    worked = await keptWeek();
    expect(worked.length).toBeGreaterThan(0);
    const events = eventsIn((await clinician.get(`${at("calendar")}?at=17:30`)).body as string);
    const work = events.filter(({ summary }) => summary.startsWith("Exercises"));
    expect(work.map(({ startDate }) => startDate.toString().slice(0, 16))).toEqual(
      worked.map((date) => `${date}T17:30`),
    );
    expect(events).toHaveLength(2 * worked.length);
  });

  it("names neither the person nor what they have in any title", async () => {
    const { person, diagnosis } = (await clinician.get(at("frame"))).body as {
      person: { familyName: string };
      diagnosis: string;
    };
    for (const { summary } of eventsIn((await clinician.get(at("calendar"))).body as string)) {
      expect(summary).not.toContain(person.familyName);
      expect(summary.toLowerCase()).not.toContain(diagnosis.toLowerCase());
    }
  });

  it("by a secret address that needs no sign-in; a new one ends the one before, ending it ends it", async () => {
    const made = await clinician.post(at("calendar-feeds"), { at: "07:15" });
    expect(made.body.phones.feed).toMatchObject({ time: "07:15", readAt: null });
    const path = (reply: typeof made) => new URL(reply.body.address as string).pathname;
    const first = path(made);
    const read = await other.get(first);
    expect(read.status).toBe(200);
    expect(eventsIn(read.body as string)[0]?.startDate.toString()).toBe(`${worked[0]}T07:15:00`);
    expect((await clinician.get(at("phones"))).body.feed.readAt).not.toBeNull();

    const second = path(await clinician.post(at("calendar-feeds"), { at: null }));
    expect((await other.get(first)).status).toBe(404);
    expect((await other.get(second)).status).toBe(200);
    const ended = await clinician.post(at("calendar-feeds-ended"), {});
    expect(ended.body.feed).toBeNull();
    expect((await other.get(second)).status).toBe(404);
    expect((await other.get("/api/calendar/guessed")).status).toBe(404);
  });

  it("the phone has its own; somebody of another clinic has none, and a time that is none is told", async () => {
    const { token } = (await clinician.post(at("phones"), undefined)).body as { token: string };
    const phone = new Client(servers.urls[1] as string);
    await phone.post("/api/phone/openings", { token });
    const own = await phone.get("/api/phone/calendar?at=18:00");
    expect(eventsIn(own.body as string)).toHaveLength(2 * worked.length);
    expect((await new Client(servers.urls[0] as string).get("/api/phone/calendar")).status).toBe(401);
    expect((await stranger.get(at("calendar"))).status).toBe(404);
    const wrong = await clinician.get(`${at("calendar")}?at=25:00`);
    expect(wrong.status).toBe(422);
    expect(wrong.body.problems[0].path).toBe("/at");
  });

  it("while a stop is open nobody is sent to work by their calendar", async () => {
    const open = (await clinician.get(at("calendar"))).body as string;
    expect(eventsIn(open).length).toBeGreaterThan(0);
    const raised = await clinician.post(at("signals"), { id: uuid(), code: "calf-hot" });
    expect(raised.body.problems ?? []).toEqual([]);
    expect(raised.status).toBe(201);
    expect(eventsIn((await clinician.get(at("calendar"))).body as string)).toEqual([]);
  });
});

describe("who comes today", () => {
  const rows = async (client = clinician) =>
    ((await client.get("/api/caseload")).body as { rows: CaseloadRow[] }).rows;
  const named = (all: readonly CaseloadRow[], family: string) =>
    all.find(({ person }) => person.familyName === family) as CaseloadRow;

  it("stands on top by the hour, below every stop; what is taken off goes back to its place", async () => {
    const before = await rows();
    const calm = before.filter(({ attention }) => attention !== "stop").slice(-3);
    const [late, early, some] = calm.map(({ episodeId }) => episodeId) as [string, string, string];
    const on = [
      { episodeId: late, time: "15:00" },
      { episodeId: some, time: null },
      { episodeId: early, time: "08:30" },
    ];
    const marked = await assistant.post("/api/clinic/expected", { on, off: [] });
    expect(marked.status).toBe(200);
    expect(marked.body.people).toHaveLength(3);
    const after = await rows();
    const stops = before.filter(({ attention }) => attention === "stop").length;
    expect(stops).toBeGreaterThan(0);
    expect(after.slice(0, stops).every(({ attention }) => attention === "stop")).toBe(true);
    expect(after.slice(stops, stops + 3).map(({ episodeId }) => episodeId)).toEqual([early, late, some]);
    expect(after.filter(({ expected }) => expected)).toHaveLength(3);

    await clinician.post("/api/clinic/expected", {
      on: [{ episodeId: early, time: "16:00" }],
      off: [late, some],
    });
    const then = await rows();
    expect(then.filter(({ expected }) => expected).map(({ expected }) => expected)).toEqual([
      { time: "16:00" },
    ]);
  });

  it("another clinic's people cannot be marked, and its day is its own", async () => {
    const [own] = await rows();
    const tried = await stranger.post("/api/clinic/expected", {
      on: [{ episodeId: own?.episodeId, time: "09:00" }],
      off: [],
    });
    expect(tried.body.people).toEqual([]);
    expect((await rows()).filter(({ expected }) => expected?.time === "09:00")).toEqual([]);
  });

  it("a calendar file names them; what it says of others is told and kept nowhere", async () => {
    const all = await rows();
    const [osterby, sandoval] = ["Osterby", "Sandoval"].map((name) => named(all, name)) as [
      CaseloadRow,
      CaseloadRow,
    ];
    const text = [
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      "BEGIN:VEVENT",
      "UID:a",
      "DTSTART;TZID=Europe/Vienna:20260310T143000",
      `SUMMARY:${osterby.person.familyName.toUpperCase()}\\, ${osterby.person.givenName}`,
      "END:VEVENT",
      "BEGIN:VEVENT",
      "UID:b",
      "DTSTART;TZID=Europe/Vienna:20260303T090000",
      "RRULE:FREQ=WEEKLY",
      `SUMMARY:${sandoval.person.givenName} ${sandoval.person.familyName}`,
      "END:VEVENT",
      "BEGIN:VEVENT",
      "UID:c",
      "DTSTART;TZID=Europe/Vienna:20260310T120000",
      "SUMMARY:Lunch with the accountant",
      "END:VEVENT",
      "END:VCALENDAR",
    ].join("\r\n");
    const read = await clinician.post("/api/clinic/day-file", { text });
    expect(read.body).toMatchObject({
      date: "2026-03-10",
      cut: false,
      entries: [
        { time: "09:00", episodeIds: [sandoval.episodeId] },
        { title: "Lunch with the accountant", episodeIds: [] },
        { time: "14:30", episodeIds: [osterby.episodeId] },
      ],
    });
    expect((await rows()).filter(({ expected }) => expected)).toHaveLength(1);
    expect((await stranger.post("/api/clinic/day-file", { text })).body.entries[0].episodeIds).toEqual([]);
  });

  it.each(["Dear all, see you tomorrow", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT"])(
    "%j is answered with what it lacks",
    async (text) => {
      const reply = await clinician.post("/api/clinic/day-file", { text });
      expect(reply.status).toBe(422);
      expect(reply.body.problems).toEqual([
        { path: "/text", problem: "is no calendar: save it from your calendar as an .ics file" },
      ]);
    },
  );

  it("one that is too large is not read at all", async () => {
    expect((await clinician.post("/api/clinic/day-file", { text: "x".repeat(2_200_000) })).status).toBe(413);
  });
});
