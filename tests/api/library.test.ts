import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { LibraryAnswer } from "~/contract/library";
import { exerciseOf, draftOf } from "~/islands/library/own-exercise";
import type { Exercise } from "~/core/exercise/exercise";
import { skater } from "~tests/harness/story";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";

let servers: Servers;
let client: Client;

beforeAll(async () => {
  servers = await startServers(1);
  servers.setClock("2026-03-10T08:00:00.000Z");
  client = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());

const library = async (query = ""): Promise<LibraryAnswer> => {
  const answer = await client.get(`/api/library${query}`);
  expect(answer.status).toBe(200);
  return answer.body as LibraryAnswer;
};

describe("the library", () => {
  it("has every exercise with its variants, and one variant that stands for it", async () => {
    const all = await library();
    expect(all.exercises.length).toBeGreaterThan(85);
    expect(all.variantCount).toBe(all.exercises.reduce((sum, entry) => sum + entry.variants.length, 0));
    for (const entry of all.exercises)
      expect(entry.variants.map(({ variantId }) => variantId)).toContain(entry.shown.variantId);
    expect(all.patient).toBeNull();
    expect(all.leftOut).toEqual([]);
  });

  it("is narrowed by lane, position, kit, contraction, knee bend and words together", async () => {
    const found = await library(
      "?lane=hip-abductors&positions=side-lying&kit=none&lowKneeBend=true&text=lift",
    );
    expect(found.exercises.map(({ exerciseId }) => exerciseId)).toEqual(["side-lying-lift"]);
    expect(found.exercises[0]?.variants.length).toBeLessThan(3);
    expect((await library("?contraction=isometric&region=groin")).exercises.length).toBeGreaterThan(0);
  });

  // Distefano 2009, recalled: side-lying abduction 81 (42), single-leg squat 64 (24), band walk 61 (34).
  it("is ordered by activity of the gluteus medius, with deviation, source and what the study left out", async () => {
    const { exercises, muscle } = await library("?activity=gluteus-medius");
    expect(muscle).toBe("gluteus-medius");
    expect(exercises.slice(0, 3).map(({ exerciseId }) => exerciseId)).toEqual([
      "side-lying-lift",
      "single-leg-squat",
      "band-side-steps",
    ]);
    expect(exercises[0]?.activity[0]).toMatchObject({ meanPercent: 81, sdPercent: 42, aboveThreshold: true });
    expect(exercises[0]?.activity[0]?.leftOut).toMatch(/\w/);
    expect(exercises.at(-1)?.activity).toEqual([]);
  });

  it.each(["?activity=heart", "?lane=tail", "?kit=gold", "?limit=0"])(
    "%s is refused by name",
    async (query) => {
      const answer = await client.get(`/api/library${query}`);
      expect(answer.status).toBe(422);
      expect(answer.body.problems.length).toBeGreaterThan(0);
    },
  );
});

describe("for a patient", () => {
  it("what fits and what was left out make up what was asked, each reason in words", async () => {
    const id = skater;
    const all = await library("?lane=knee-extensors");
    const answer = (await client.get(`/api/episodes/${id}/library?lane=knee-extensors`))
      .body as LibraryAnswer;
    const leftOut = answer.leftOut.reduce((sum, reason) => sum + reason.count, 0);
    expect(answer.variantCount + leftOut).toBe(all.variantCount);
    expect(answer.patient?.episodeId).toBe(id);
    expect(leftOut).toBeGreaterThan(0);
    for (const { says, count, variants } of answer.leftOut) {
      if (says !== null) expect(says).toMatch(/\w{3}/);
      expect(variants).toHaveLength(count);
    }
    expect(answer.leftOut.map(({ count }) => count)).toEqual(
      answer.leftOut.map(({ count }) => count).sort((a, b) => b - a),
    );
  });

  it("a limit of kit leaves out what needs more, and says so", async () => {
    const id = skater;
    const written = await client.post(`/api/episodes/${id}/circumstances`, {
      id: uuid(),
      reason: "Trains at home now",
      circumstances: {
        limits: [],
        reachesFloor: false,
        daysPerWeek: 3,
        minutesPerDay: 30,
        kit: ["chair", "wall"],
        cannotPositions: ["kneeling"],
      },
    });
    expect(written.status).toBe(201);
    const answer = (await client.get(`/api/episodes/${id}/library`)).body as LibraryAnswer;
    const says = answer.leftOut.map((reason) => reason.says ?? "");
    expect(says.some((text) => text.includes("kit"))).toBe(true);
    expect(says.some((text) => text.includes("cannot take"))).toBe(true);
    for (const { kit, position } of answer.exercises) {
      expect(kit.every((piece) => ["chair", "wall"].includes(piece))).toBe(true);
      expect(["standing", "sitting"]).toContain(position);
    }
  });

  it("the patient's measured height comes with the stair and the plan", async () => {
    const id = skater;
    const measured = await client.post(`/api/episodes/${id}/measures`, {
      id: uuid(),
      takenOn: "2026-03-10",
      results: [{ id: uuid(), measure: "standing-height", side: "none", trials: [168] }],
    });
    expect(measured.status).toBe(201);
    expect((await client.get(`/api/episodes/${id}`)).body.heightM).toBeCloseTo(1.68, 9);
    expect((await client.get(`/api/episodes/${id}/plan`)).body.heightM).toBeCloseTo(1.68, 9);
  });
});

it("an exercise of the clinic's own with a borrowed figure is saved, found, revised and read again", async () => {
  const clam = (await client.get("/api/exercises/clam")).body as Exercise;
  const made = exerciseOf(clam, { ...draftOf(clam, true), name: "Clam on the sofa" }, true);
  expect((await client.post("/api/exercises", { id: uuid(), action: "add", exercise: made })).status).toBe(
    201,
  );
  const found = await library("?text=sofa");
  expect(found.exercises[0]).toMatchObject({ exerciseId: made.id, drawnLike: "clam", own: true });
  const revised = exerciseOf(made, { ...draftOf(made, false), cues: "Slow" }, false);
  expect(
    (await client.post("/api/exercises", { id: uuid(), action: "revise", exercise: revised })).status,
  ).toBe(201);
  expect((await client.get(`/api/exercises/${made.id}`)).body).toMatchObject({
    cues: ["Slow"],
    drawnLike: "clam",
  });
});
