import { v7 as uuid } from "uuid";
import { beforeAll, describe, expect, it } from "vitest";
import { addDays } from "~/core/schedule/local-day";
import { someIntake } from "~tests/builders/intake";
import { pick, signIn, visit } from "~tests/harness/browser";
import { signedIn } from "~tests/harness/client";
import { recordByLines } from "~tests/harness/session";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser({ signedIn: false });

let stair: string;

const plan = [
  ["side-step-up", "side-step-up-held"],
  ["bridge", "bridge-two-legs"],
  ["back-extension", "back-extension-bench"],
] as const;

const atTop = ["side step: 3x12 p2 e7", "bridge: 2x20 p0 e6", "back: 2x12 p1 e6"];
const atTopAgain = ["side step: 3x12 p1 e6", "bridge: 2x20 p0 e6", "back: 2x15 p1 e6"];

/** A rower with a painful kneecap takes up three exercises, three days a week, on 10 March. */
beforeAll(async () => {
  const url = at.url;
  const client = await signedIn(url);
  const id = uuid();
  const intake = someIntake("kneecap-pain", { irritability: "low", daysPerWeek: 3 });
  const items = plan.map(([exerciseId, variantId]) => ({ id: uuid(), exerciseId, variantId }));
  const reason = "Walks and climbs stairs without pain";
  const signed = await client.post("/api/intakes", { id, intake, stage: "capacity", reason, items });
  expect(signed.status).toBe(201);
  stair = `${url}/episodes/${id}`;
});

async function arrive(date: string, time: string): Promise<void> {
  at.servers.setClock(`${date}T${time}:00Z`);
  await visit(at.page, stair);
  if (!at.page.url().includes("/sign-in")) return;
  await signIn(at.page);
  await visit(at.page, stair);
}

/** What is said of step-up, bridge and back extension, in that order. */
const outcomes = () =>
  Promise.all(plan.map(([id]) => at.page.getByTestId(`item-${id}`).getByTestId("outcome").innerText()));

/** The whole text of one item, opened where the list folds it. */
async function item(id: (typeof plan)[number][0]): Promise<string> {
  const entry = at.page.getByTestId(`item-${id}`);
  const folded = entry.locator("[aria-expanded=false]").first();
  if (await folded.count()) await folded.click();
  return entry.innerText();
}

/** A session at ten; what is said of the three right after it. */
async function train(date: string, before: number, lines: readonly string[]): Promise<string[]> {
  await arrive(date, "09:00");
  await recordByLines(at.page, stair, before, lines);
  return outcomes();
}

/** The report of that day, given the next morning; what is said then. */
async function report(date: string, next: number): Promise<string[]> {
  await arrive(addDays(date, 1), "07:00");
  await pick(at.page, "Pain on waking", next);
  await at.page.getByRole("button", { name: "Record the report" }).click();
  await at.page.getByTestId("report").waitFor({ state: "detached" });
  return outcomes();
}

async function signAll(count: number): Promise<void> {
  await at.page.getByRole("button", { name: `Sign all ${count}` }).click();
  await at.page.getByText(`${count} proposals signed`).waitFor();
}

/** Whether an item's good days are named as of these numbers. */
const run = async (id: (typeof plan)[number][0]) =>
  /(\d) of (\d) good/
    .exec(await item(id))
    ?.slice(1, 3)
    .join("/");

describe("four weeks of one knee", () => {
  it("the first week: the days settle, two good ones make three steps", async () => {
    await arrive("2026-03-10", "09:00");
    expect(await outcomes()).toEqual(["Hold", "Hold", "Hold"]);
    expect(await item("side-step-up")).toContain("The last change settles until Fri 13 Mar");
    await train("2026-03-12", 1, atTop);
    expect(await report("2026-03-12", 1)).toEqual(["Hold", "Hold", "Hold"]);
    expect(await run("side-step-up")).toBe("1/2");
    expect(await train("2026-03-14", 1, atTop)).toEqual(["Wait", "Wait", "Wait"]);
    expect(await report("2026-03-14", 1)).toEqual(["Step up", "Step up", "Step up"]);
    expect(await item("side-step-up")).toContain("step height: 10 cm → 15 cm");
    await signAll(3);
    expect(await outcomes()).toEqual(["Hold", "Hold", "Hold"]);
  });

  it("the second week: the knee reacts; what was made harder goes back, at most two, the rest holds", async () => {
    const lines = ["side step: 3x8 p3 e8", "bridge: 2x12 p0 e7", "back: 2x12 p1 e6"];
    expect(await train("2026-03-17", 1, lines)).toEqual(["Hold", "Hold", "Hold"]);
    expect(await item("side-step-up")).toContain("pain 3 during: tolerable, but no step from it");
    expect(await report("2026-03-17", 5)).toEqual(["Ease", "Ease", "Hold"]);
    const said = await item("side-step-up");
    expect(said).toContain("next morning 5, before the session 1: a reaction under ‘monitored’");
    expect(said).toContain("step height: 15 cm → 10 cm");
    expect(said).toContain("made harder within the last two training days");
    await visit(at.page, "/");
    expect(await at.page.getByRole("link", { name: /Testrup/ }).innerText()).toContain("Flare");
    await visit(at.page, stair);
    await signAll(2);
    expect(await run("side-step-up")).toBe("0/3");
  });

  it("a week away: quiet on the caseload, one notch down on return", async () => {
    await arrive("2026-03-24", "08:30");
    await visit(at.page, "/");
    expect(await at.page.getByRole("link", { name: /Testrup/ }).innerText()).toContain("Gone quiet");
    await arrive("2026-03-28", "08:30");
    expect(await outcomes()).toEqual(["Ease", "Ease", "Ease"]);
    const said = await item("side-step-up");
    expect(said).toContain("return from absence");
    expect(said).toContain("10 days since the last session");
    expect(said).toContain("step height: 10 cm → 5 cm");
    await signAll(3);
    await train("2026-03-28", 0, ["side step: 3x10 p1 e6", "bridge: 2x12 p0 e6", "back: 2x12 p1 e6"]);
    expect(await report("2026-03-28", 0)).toEqual(["Hold", "Hold", "Hold"]);
  });

  it("the fourth week: three good days after the eases, and enough of the fortnight done, before anything rises", async () => {
    for (const [date, good] of [
      ["2026-03-30", "1/3"],
      ["2026-04-01", "2/3"],
    ] as const) {
      await train(date, 0, atTopAgain);
      expect(await report(date, 0)).toEqual(["Hold", "Hold", "Hold"]);
      expect(await run("side-step-up")).toBe(good);
    }
    await train("2026-04-03", 0, atTopAgain);
    expect(await report("2026-04-03", 0)).toEqual(["Hold", "Hold", "Hold"]);
    expect(await item("side-step-up")).toContain("66 % of this lane done; 70 % needed");
    await train("2026-04-05", 0, atTopAgain);
    expect(await report("2026-04-05", 0)).toEqual(["Step up", "Step up", "Step up"]);
    expect(await item("side-step-up")).toContain("3 good days were needed");
  });

  it("the record tells all of it, and every signed proposal comes out of it again", async () => {
    await visit(at.page, `${stair}/record`);
    expect(await at.page.locator('[data-kind="session"]').count()).toBe(8);
    expect(await at.page.locator('[data-kind="report"]').count()).toBe(8);
    expect(await at.page.locator('[data-kind="decision"]').count()).toBe(8);
    expect(await at.page.getByTestId("replay").innerText()).toContain(
      "8 of 8 signed proposals come out the same",
    );
    expect(at.person.complaints).toEqual([]);
  });
});
