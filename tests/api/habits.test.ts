import { beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { usualHabits } from "~/contract/habits";
import type { KeepingView } from "~/contract/trust";
import { demoClinic } from "~demo/clinic";
import { at, atClinic, begin } from "~tests/harness/at-clinic";
import { signedIn, type Client } from "~tests/harness/client";

/** What a clinic begins every patient with, and how long it keeps a record. */
const clinic = atClinic({ own: true });
let lead: Client;
beforeAll(async () => {
  lead = await signedIn(clinic.servers.urls[0] as string, "lead");
});

const taken = (over: object = {}) => begin(clinic, ["kneecap-pain", "capacity", "clam-60"], over);
const named = { name: demoClinic.name, zone: demoClinic.zone };
const set = async (more: object) => (await lead.post("/api/clinic", { id: uuid(), ...named, ...more })).body;

it("what the lead sets is what every intake begins with, until it is set otherwise; left out it stays", async () => {
  const habits = { ...usualHabits, school: "pain-free", passing: "confident", keepYears: 8 };
  expect((await lead.get("/api/clinic")).body.habits).toEqual(usualHabits);
  expect((await set({ habits })).clinic.habits).toEqual(habits);
  expect((await set({})).clinic.habits).toEqual(habits);
  const id = await taken();
  expect((await clinic.client.get(at(id, "gate"))).body.gate.passing).toBe("confident");
  const { entries } = (await clinic.client.get(at(id, "record"))).body as { entries: object[] };
  expect(entries).toContainEqual(
    expect.objectContaining({ kind: "passing", passing: "confident", reason: "As this clinic does" }),
  );
  expect((await clinic.client.get("/intake")).body).toContain("pain-free");
  await set({ habits: usualHabits });
  const later = await taken();
  expect((await clinic.client.get(at(later, "gate"))).body.gate.passing).toBe("point");
  expect((await clinic.client.get(at(id, "gate"))).body.gate.passing).toBe("confident");
});

it("they are the lead's, and must be sound", async () => {
  const asked = { id: uuid(), ...named, habits: { ...usualHabits, keepYears: 0 } };
  expect((await lead.post("/api/clinic", asked)).status).toBe(422);
  expect((await clinic.client.post("/api/clinic", { ...asked, habits: usualHabits })).status).toBe(403);
  expect((await clinic.client.get("/api/clinic/keeping?years=8")).status).toBe(403);
  for (const years of ["0", "-1", "100", "eight", ""])
    expect((await lead.get(`/api/clinic/keeping?years=${years}`)).status, years).toBe(422);
});

it("whose record was closed so many years ago is shown, and nothing is erased by looking", async () => {
  const somebody = (familyName: string) =>
    taken({ person: { givenName: "Ilse", familyName, bornOn: "1949-04-02", activity: "Reads" } });
  const [id, , open] = [await somebody("Langbehn"), await somebody("Norddal"), await somebody("Vesterli")];
  const end = { kind: "discharge", reason: "Goals reached", summary: "Well" };
  await clinic.client.post(at(id, "turns"), { id: uuid(), ...end });
  // Somebody with another problem that is open still.
  const other = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"], {}, { beside: open });
  await clinic.client.post(at(other, "turns"), { id: uuid(), ...end });

  const past = async (years: number) =>
    (await lead.get(`/api/clinic/keeping?years=${years}`)).body as KeepingView;
  expect(await past(1)).toEqual({ years: 1, count: 0, people: [] });
  clinic.servers.setClock("2034-03-11T09:00:00.000Z");
  lead = await signedIn(clinic.servers.urls[0] as string, "lead");
  expect((await past(9)).count).toBe(0);
  const found = await past(8);
  expect(found.people.map(({ person, episodeId }) => [person.familyName, episodeId])).toEqual([
    ["Langbehn", id],
  ]);
  expect(found.count).toBe(1);
  expect((await lead.get(`/api/episodes/${id}/person-file`)).status).toBe(200);

  expect(
    (await lead.post(at(id, "erasure"), { id: uuid(), familyName: "Langbehn", reason: "The time is over" }))
      .status,
  ).toBe(201);
  expect((await past(8)).count).toBe(0);
});
