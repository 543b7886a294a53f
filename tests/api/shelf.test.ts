import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startingExercises } from "~/catalogue/exercises/all";
import { demoShelf } from "~demo/shelf";
import { fullGym } from "~/core/exercise/kit";
import type { ShelfView } from "~/contract/shelf";
import type { PlanView } from "~/contract/plan";
import { at, atClinic, begin, item } from "~tests/harness/at-clinic";
import { signedIn, type Client } from "~tests/harness/client";

/** What stands in a clinic to load with, and what a person has at home. */
const clinic = atClinic({ own: true });
let lead: Client;
let assistant: Client;
beforeAll(async () => {
  const url = clinic.servers.urls[0] as string;
  lead = await signedIn(url, "lead");
  assistant = await signedIn(url, "assistant");
});

const weighted = startingExercises
  .flatMap(({ variants }) => variants)
  .find(({ id }) => id === "calf-raise-weighted");
const shelfAt = "/api/clinic/shelf";
const red = {
  id: uuid(),
  name: "Red",
  form: "strip",
  where: "clinic",
  restCm: 100,
  points: [
    { stretchCm: 0, forceN: 0 },
    { stretchCm: 50, forceN: 20 },
    { stretchCm: 100, forceN: 36 },
  ],
};
const read = async (client: Client) => (await client.get(shelfAt)).body as ShelfView;
const setting = async (shelf: object, client: Client = clinic.client) => {
  const { settingId } = await read(client);
  return client.post(shelfAt, { id: uuid(), shelf, after: settingId });
};

describe("the clinic's shelf", () => {
  it("is set by who signs, read by everybody, and offered in the load lab", async () => {
    expect(await read(assistant)).toMatchObject({ shelf: demoShelf, maySet: false });
    const shelf = { loadsKg: { dumbbells: [1, 2, 3] }, bands: [red] };
    const written = await setting(shelf);
    expect(written.status).toBe(201);
    expect((await read(assistant)).shelf).toEqual(shelf);
    expect((await read(lead)).maySet).toBe(true);
    const id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"]);
    expect((await clinic.client.get(at(id, "lab"))).body.bands).toEqual([red]);
    expect((await setting(shelf, assistant)).status).toBe(403);
    const { lines } = (await lead.get("/api/audit")).body as { lines: { action: string }[] };
    expect(lines.map(({ action }) => action)).toContain("set-shelf");
  });

  it("said twice it stands once; who looked at an older one is told and loses nothing", async () => {
    const { settingId, shelf } = await read(lead);
    const body = {
      id: uuid(),
      shelf: { ...shelf, bands: [red, { ...red, id: uuid(), name: "Blue" }] },
      after: settingId,
    };
    expect((await clinic.client.post(shelfAt, body)).body).toMatchObject({ repeated: false });
    expect((await clinic.client.post(shelfAt, body)).body).toMatchObject({ repeated: true });
    const late = await lead.post(shelfAt, {
      id: uuid(),
      shelf: { loadsKg: {}, bands: [] },
      after: settingId,
    });
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ type: "/problems/stale", changed: { settingId: body.id } });
    expect((await read(lead)).shelf.bands.map(({ name }) => name)).toEqual(["Red", "Blue"]);
  });

  it("two at once: one is written, the other is told", async () => {
    const { settingId, shelf } = await read(lead);
    const asked = (by: Client) => by.post(shelfAt, { id: uuid(), shelf, after: settingId });
    const answers = await Promise.all([asked(lead), asked(clinic.client), asked(lead)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  });

  it("a calibration that falls or has two points at one stretch, kit without loads, loads that do not rise: refused by field", async () => {
    const refusals = [
      [{ loadsKg: { dumbbells: [2, 2] }, bands: [] }, "/shelf/loadsKg/dumbbells/1"],
      [{ loadsKg: { wall: [2] }, bands: [] }, "/shelf/loadsKg/wall"],
      [{ loadsKg: { dumbbells: [-2] }, bands: [] }, "/shelf/loadsKg/dumbbells/0"],
      [
        { loadsKg: {}, bands: [{ ...red, points: [...red.points, { stretchCm: 120, forceN: 30 }] }] },
        "/shelf/bands/0/points/3/forceN",
      ],
      [
        { loadsKg: {}, bands: [{ ...red, points: [...red.points, { stretchCm: 100, forceN: 40 }] }] },
        "/shelf/bands/0/points/3/stretchCm",
      ],
      [{ loadsKg: {}, bands: [{ ...red, points: red.points.slice(1) }] }, "/shelf/bands/0/points"],
      [{ loadsKg: {}, bands: [{ ...red, restCm: 0 }] }, "/shelf/bands/0/restCm"],
    ] as const;
    for (const [shelf, path] of refusals) {
      const { status, body } = await setting(shelf);
      expect(status, path).toBe(422);
      expect((body.problems as { path: string }[]).map((one) => one.path)).toContain(path);
    }
    expect((await read(lead)).shelf.bands).toHaveLength(2);
  });
});

describe("the weights of a person", () => {
  it("decide the next step of a load, and the plan keeps them until they are set anew", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"], {
      kit: [...fullGym],
    });
    const plan = async () => (await clinic.client.get(at(id, "plan"))).body as PlanView;
    const { circumstances } = await plan();
    const set = (shelfKg: object) =>
      clinic.client.post(at(id, "circumstances"), {
        id: uuid(),
        circumstances: { ...circumstances, shelfKg },
        reason: "Own dumbbells at home",
      });
    expect((await set({ dumbbells: [3, 2] })).status).toBe(422);
    expect((await set({ dumbbells: [3, 7] })).status).toBe(201);
    expect((await plan()).circumstances?.shelfKg).toEqual({ dumbbells: [3, 7] });
    // From 3 kg: the next on the usual shelf would be 4, at home it is 7.
    const { status } = await clinic.client.post(at(id, "items"), {
      ...item("calf-raise-weighted"),
      dose: { ...weighted?.dose, loadKg: 3 },
    });
    expect(status).toBe(201);
    const planned = (await plan()).items.find(({ prescription }) => prescription.dose.loadKg === 3);
    expect(planned?.harder).toMatchObject({ knob: "load", from: 3, to: 7 });
  });
});

// MariaDB's UUID type refuses ids of a version from 8 on whose variant is below 9; all others it keeps.
it("an id that the database would refuse is refused at its field, and every id that is taken can be kept", async () => {
  const { settingId, shelf } = await read(lead);
  const idOf = (version: string, variant: string) =>
    `${uuid().slice(0, 14)}${version}abc-${variant}${uuid().slice(20)}`;
  let after = settingId;
  for (const version of "17f8")
    for (const variant of "089af") {
      const id = idOf(version, variant);
      const { status, body } = await lead.post(shelfAt, { id, shelf, after });
      const isKept = !("8f".includes(version) && "08".includes(variant));
      expect(status, id).toBe(isKept ? 201 : 422);
      if (isKept) after = id;
      else expect(body.problems).toMatchObject([{ path: "/id" }]);
    }
});
