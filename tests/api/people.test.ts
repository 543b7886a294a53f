import { beforeAll, describe, expect, it } from "vitest";
import { demoPassword } from "~demo/clinic";
import { atClinic, begin } from "~tests/harness/at-clinic";
import { Client } from "~tests/harness/client";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";

/** The people of the clinic: found again by name or year of birth. */
const clinic = atClinic();

const find = async (text: string, who = clinic.client): Promise<string[]> => {
  const { status, body } = await who.post("/api/people/search", { text });
  expect(status).toBe(200);
  return body.people.map(
    ({ person }: { person: { givenName: string; familyName: string } }) =>
      `${person.givenName} ${person.familyName}`,
  );
};

describe("people are found", () => {
  it("by parts of a name, in any case and order, and by the year of birth", async () => {
    expect(await find("holloway")).toEqual(["Casimir Holloway"]);
    expect(await find("OLLOW casim")).toEqual(["Casimir Holloway"]);
    expect(await find("1992")).toEqual(["Ragnhild Osterby", "Mirela Stanhope"]);
    expect(await find("stan 1992")).toEqual(["Mirela Stanhope"]);
    expect(await find("stan 1993")).toEqual([]);
    expect(await find("nobody of this name")).toEqual([]);
  });

  it("signs that a pattern of the database would take for itself are letters", async () => {
    for (const text of ["%", "_", "\\", "a%y", "' OR 1=1 --"]) expect(await find(text)).toEqual([]);
  });

  it("with what is wrong and when they were born; twelve at most", async () => {
    const { body } = await clinic.client.post("/api/people/search", { text: "quenneville" });
    expect(body.people).toEqual([
      {
        episodeId: expect.any(String),
        person: { givenName: "Bertil", familyName: "Quenneville", activity: "Retired stage hand" },
        birthYear: 1960,
        diagnosis: "Adductor strain, lifting a flight case",
        involvedSide: "left",
        state: "active",
      },
    ]);
    expect(await find("a")).toHaveLength(12);
  });

  it("an empty question and a long one are refused at the field", async () => {
    for (const text of ["", "   ", "x".repeat(81)]) {
      const { status, body } = await clinic.client.post("/api/people/search", { text });
      expect(status).toBe(422);
      expect(body.problems).toMatchObject([{ path: "/text" }]);
    }
  });
});

describe("nobody is found from outside", () => {
  let stranger: Client;
  beforeAll(async () => {
    await addForeignClinic(clinic.servers.database.ownerUrl);
    stranger = new Client(clinic.servers.urls[0] as string);
    await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
  });

  it("of another clinic, nor without signing in", async () => {
    expect(await find("holloway", stranger)).toEqual([]);
    expect(await find("a", stranger)).toEqual([]);
    const nobody = new Client(clinic.servers.urls[0] as string);
    expect((await nobody.post("/api/people/search", { text: "holloway" })).status).toBe(401);
  });
});

describe("what stands at the head of every view", () => {
  it("is who, how far on, and what holds", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], { fellLastYear: true });
    const { body } = await clinic.client.get(`/api/episodes/${id}/frame`);
    expect(body).toMatchObject({
      episodeId: id,
      person: { conditions: [{ short: "falls" }] },
      stage: { name: "Capacity", number: 2, of: 4 },
      surgery: null,
      signals: [],
      items: [{ name: "Bridge" }],
      lifts: false,
      maySign: true,
    });
    expect(body.birthYear).toBeGreaterThan(1900);
    const stair = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(body.limits).toEqual(stair.restrictions);
    expect((await clinic.assistant.get(`/api/episodes/${id}/frame`)).body.maySign).toBe(false);
  });
});
