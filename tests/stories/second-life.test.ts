import { v7 as uuid } from "uuid";
import { beforeAll, describe, expect, it } from "vitest";
import { someIntake } from "~tests/builders/intake";
import { visit } from "~tests/harness/browser";
import { signedIn, type Client } from "~tests/harness/client";
import { Life } from "~tests/harness/life";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser({ signedIn: false });

const plan = [
  ["two-leg-squat", "squat-free"],
  ["side-step-up", "side-step-up-held"],
  ["bridge", "bridge-two-legs"],
] as const;
const life = new Life(
  at,
  plan.map(([id]) => id),
);
const itemIds = plan.map(() => uuid());
let client: Client;
let id: string;

const sides = (left: string, right: string) => `side step: left ${left}; right ${right}`;

/** A beekeeper with two painful knees; an operation on one of them, a limit that ends, a holiday, a session from the phone. */
beforeAll(async () => {
  client = await signedIn(at.url);
  id = uuid();
  const intake = someIntake("kneecap-pain", { irritability: "low", daysPerWeek: 3, involvedSide: "both" });
  const items = plan.map(([exerciseId, variantId], n) => ({ id: itemIds[n], exerciseId, variantId }));
  const reason = "Walks and climbs stairs with little pain on either side";
  const signed = await client.post("/api/intakes", { id, intake, stage: "capacity", reason, items });
  expect(signed.body.problems ?? []).toEqual([]);
  life.stair = `${at.url}/episodes/${id}`;
});

const good = ["squat: 3x12 p1 e6", sides("3x12 p1 e6", "3x12 p2 e6"), "bridge: 2x20 p0 e6"];

describe("two knees, an operation, a holiday, a phone", () => {
  it("a first day goes well on either side", async () => {
    await life.train("2026-03-12", 1, good);
    expect(await life.report("2026-03-12", 1)).toEqual(["Hold", "Hold", "Hold"]);
  });

  it("the worse leg decides, and is named with what it did", async () => {
    const short = [good[0] ?? "", sides("3x12 p1 e6", "2x12 p2 e6 / 9"), good[2] ?? ""];
    await life.train("2026-03-14", 1, short);
    expect(await life.report("2026-03-14", 1)).toEqual(["Step up", "Hold", "Step up"]);
    expect(await life.item("side-step-up")).toContain("right leg: 12, 12, 9 clean, 8–12 asked");
    await life.signAll(2);
  });

  it("the surgeon's line eases what it can, and suspends what has nothing within it", async () => {
    at.servers.setClock("2026-03-16T16:00:00Z");
    client = await signedIn(at.url);
    expect((await client.post(`/api/episodes/${id}/events`, operation())).status).toBe(201);
    await life.arrive("2026-03-17", "08:00");
    expect(await life.outcomes()).toEqual(["Ease", "Stop", "Stop"]);
    const squat = await life.item("two-leg-squat");
    expect(squat).toContain("knee bend: 75° → 45°");
    expect(squat).toContain("bend under load to 45° at most");
    expect(await life.item("bridge")).toContain("choose another exercise");
    await life.signAll(3);
    expect((await life.outcomes())[0]).toBe("Hold");
    expect(await life.item("two-leg-squat")).toContain("Next would be knee bend, but bend under load to 45°");
  });

  it("the limit ends; after a week away everything comes back a notch down", async () => {
    await life.arrive("2026-03-26", "08:00");
    expect(await life.outcomes()).toEqual(["Ease", "Ease", "Ease"]);
    expect(await life.item("two-leg-squat")).toContain("9 days since the last session");
  });

  it("one session back does not wipe it out; the squat comes back no deeper than it was", async () => {
    const lines = ["squat: 3x10 p1 e6", sides("3x10 p1 e6", "3x10 p2 e6"), "bridge: 2x15 p0 e6"];
    await life.train("2026-03-28", 0, lines);
    expect(await life.report("2026-03-28", 0)).toEqual(["Ease", "Ease", "Ease"]);
    expect(await life.item("two-leg-squat")).toContain("11 days away before Sat 28 Mar");
    await life.arrive("2026-03-31", "08:00");
    await life.signAll(3);
    expect(await life.outcomes()).toEqual(["Hold", "Hold", "Hold"]);
    client = await signedIn(at.url);
    const { items } = (await client.get(`/api/episodes/${id}`)).body;
    expect(items[0].prescription.settings["knee-angle"]).toBe(45);
  });

  it("a session from the phone that arrives after the signature was seen by nobody: what hurt in it is put anew", async () => {
    at.servers.setClock("2026-04-01T08:00:00Z");
    client = await signedIn(at.url);
    const set = (side: string, painDuring: number, more = {}) => ({
      side,
      reps: 10,
      painDuring,
      painSite: "episode",
      effort: 7,
      faults: [],
      ...more,
    });
    const hurts = { painWith: "depth", painArc: { fromDeg: 50 } };
    const late = await client.post(`/api/episodes/${id}/sessions`, {
      id: uuid(),
      occurredAt: "2026-03-30T18:00:00Z",
      painBefore: 1,
      items: [
        { itemId: itemIds[1], sets: [1, 2, 3].flatMap(() => [set("left", 2), set("right", 7, hurts)]) },
      ],
    });
    expect(late.body.problems ?? []).toEqual([]);
    await life.arrive("2026-04-01", "08:30");
    const [squat, stepUp, bridge] = await life.outcomes();
    expect([squat, bridge]).toEqual(["Hold", "Hold"]);
    expect(stepUp).toBe("Ease");
    expect(await life.item("side-step-up")).toContain("Mon 30 Mar: pain 7 during from 50°");
  });

  it("the record tells all of it day by day, and every signed proposal comes out of it again", async () => {
    await visit(at.page, `${life.stair}/record`);
    await at.page.getByRole("button", { name: "Day by day" }).click();
    const days = at.page.getByTestId("days");
    await days.getByText("days on which something happened").waitFor();
    await days.getByRole("combobox").selectOption("2026-03-17");
    const seen = await at.page.getByTestId("reviewed-items").innerText();
    expect(seen).toContain("knee bend: 75° → 45°");
    expect(seen).toContain("Sat 28 Mar");
    await days.getByRole("button", { name: "The day before" }).click();
    await days.getByText("Operation").waitFor();
    await at.page.getByRole("button", { name: "Timeline" }).click();
    expect(await at.page.getByTestId("replay").innerText()).toContain(
      "8 of 8 signed proposals come out the same",
    );
  });
});

/** An operation on one knee, with the surgeon's own line for nine days. */
const operation = () => ({
  id: uuid(),
  kind: "operation",
  on: "2026-03-16",
  procedures: ["meniscus-partial"],
  reason: "Discharge letter of the 16th",
  sheet: [
    {
      kind: "range",
      joint: "knee",
      mostDeg: 45,
      when: "loaded",
      leg: "both",
      origin: "surgeon",
      says: "bend under load to 45° at most",
      until: "2026-03-25",
    },
  ],
});
