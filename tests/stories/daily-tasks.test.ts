import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { someIntake } from "~tests/builders/intake";
import { atBrowser } from "~tests/harness/at-browser";
import { idOf } from "~tests/harness/at-clinic";
import { awake, phone, signIn, tablet, visit } from "~tests/harness/browser";
import { signedIn, type Client } from "~tests/harness/client";
import { Hand } from "~tests/harness/hand";
import { beginning } from "../../tools/machine/template.mjs";
import { demoClinic } from "~demo/clinic";

/** What the acts of a day cost: taps and letters by mouse and by finger, keys by keyboard alone. Printed; above its limit a task fails. */
const at = atBrowser({ signedIn: false });
let client: Client;
const table: string[] = [];
const note = (task: string, how: string, cost: string) =>
  table.push(`${task.padEnd(44)} ${how.padEnd(9)} ${cost}`);
const six = [
  "side-step-up-free",
  "bridge-two-legs",
  "clam-60",
  "hinge-stick",
  "front-plank-feet",
  "ball-squeeze-bent",
];

/** The clock at the beginning, and somebody signed in who can set things up. */
async function begin() {
  at.servers.setClock(beginning);
  client = await signedIn(at.url);
}
afterAll(() => process.stdout.write(`${table.join("\n")}\n`));

/** Somebody of a name of their own, with six exercises in the plan. */
async function somebody(familyName: string): Promise<string> {
  const id = uuid();
  const intake = someIntake("kneecap-pain", { irritability: "low" });
  const reply = await client.post("/api/intakes", {
    id,
    intake: { ...intake, person: { ...intake.person, familyName } },
    stage: "capacity",
    reason: "Walks well",
    items: six.map((variantId) => ({ id: uuid(), exerciseId: idOf(variantId), variantId })),
  });
  expect(reply.body.problems ?? []).toEqual([]);
  return id;
}

describe.each([
  { how: "mouse", viewport: tablet, isFinger: false, name: "Abelgard" },
  { how: "finger", viewport: phone, isFinger: true, name: "Ostwaldt" },
])("by $how", ({ how, viewport, isFinger, name }) => {
  let hand: Hand;
  let id: string;
  let close: () => Promise<void>;
  beforeAll(async () => {
    await begin();
    const context = await at.browser.newContext({
      baseURL: at.url,
      viewport,
      hasTouch: isFinger,
      locale: "en-GB",
      reducedMotion: "reduce",
    });
    context.setDefaultTimeout(20_000);
    const page = await context.newPage();
    await signIn(page);
    hand = new Hand(page, isFinger);
    id = await somebody(name);
    close = () => context.close();
  });
  afterAll(() => close());
  const button = (words: string | RegExp) => hand.page.getByRole("button", { name: words });
  /** Fails above its limits, and tells what the task took. */
  const cost = (task: string, limit: { taps: number; letters?: number }) => {
    note(task, how, `${hand.taps} taps${hand.letters > 0 ? `, ${hand.letters} letters` : ""}`);
    expect(hand.taps).toBeLessThanOrEqual(limit.taps);
    expect(hand.letters).toBeLessThanOrEqual(limit.letters ?? 0);
  };

  it("somebody is found by name and opened", async () => {
    await visit(hand.page, "/");
    hand.rest();
    await hand.write(name.slice(0, 4), hand.page.getByRole("searchbox"));
    await hand.tap(hand.page.getByRole("link", { name: new RegExp(name) }));
    await hand.page.waitForURL(`**/episodes/${id}`);
    await awake(hand.page);
    cost("somebody by name", { taps: 2, letters: 4 });
  });

  it("six exercises are recorded", async () => {
    await visit(hand.page, `/episodes/${id}/session`);
    hand.rest();
    await hand.pick("Pain before, at the site", 1);
    for (let n = 1; n <= six.length; n += 1) {
      await hand.pick("Worst pain during", 1);
      await hand.pick("Effort", 6);
      if (n < six.length) await hand.tap(button("Next exercise"));
    }
    await hand.tap(button("Record the session"));
    await hand.page.getByTestId("session-summary").waitFor();
    cost("six exercises as prescribed", { taps: 20 });
  });

  it("the morning after is told", async () => {
    at.servers.setClock("2026-03-11T08:00:00.000Z");
    await signIn(hand.page);
    await visit(hand.page, `/episodes/${id}`);
    hand.rest();
    await hand.pick("Pain on waking", 2);
    await hand.choose(hand.page.getByLabel("Swelling"), "same");
    await hand.tap(button("Record the report"));
    await hand.page.getByTestId("report").waitFor({ state: "detached" });
    cost("the next-day report", { taps: 5 });
  });

  it("an exercise is taken out, and taken back", async () => {
    await visit(hand.page, `/episodes/${id}/plan`);
    hand.rest();
    await hand.tap(button(/^Take out: Bridge/));
    await hand.write("Not hers", hand.page.getByRole("textbox", { name: /Why/ }));
    await hand.tap(button("Sign and take out"));
    cost("take out of the plan, the reason four letters", { taps: 3, letters: 8 });
    hand.rest();
    await hand.tap(hand.page.getByTestId("undo").getByRole("button", { name: "Undo" }));
    await hand.page.getByTestId("undo").waitFor({ state: "detached" });
    cost("and take that back", { taps: 1 });
  });

  it("a stop is raised, says whom to call, and is cleared in writing", async () => {
    await visit(hand.page, `/episodes/${id}`);
    hand.rest();
    await hand.tap(button("Something is wrong"));
    const dialog = hand.page.getByTestId("raise-signal");
    await hand.tap(dialog.getByRole("button", { name: /Calf hot/ }));
    await hand.tap(dialog.getByRole("button", { name: "Raise: suspends the whole plan" }));
    const signals = hand.page.getByTestId("signals");
    await signals.getByText(demoClinic.calls["same-day"]).first().waitFor();
    cost("a stop signal, with whom to call", { taps: 3 });
    hand.rest();
    await hand.tap(signals.getByText("Clear in writing"));
    await hand.write("No clot", signals.getByRole("textbox"));
    await hand.tap(signals.getByRole("button", { name: "Sign the clearance" }));
    await signals.waitFor({ state: "detached" });
    cost("clear it in writing", { taps: 3, letters: 7 });
  });
});

describe("by keyboard alone", () => {
  it("somebody by name, an exercise out of the plan and back", async () => {
    await begin();
    const id = await somebody("Quillfeldt");
    const hand = new Hand(at.page, false);
    await signIn(at.page);
    hand.rest();
    await hand.press("/");
    await hand.write("quil");
    await at.page.getByRole("link", { name: /Quillfeldt/ }).waitFor();
    await hand.press("ArrowDown");
    await hand.press("Enter");
    await at.page.waitForURL(`**/episodes/${id}`);
    await awake(at.page);
    const cost = (task: string, most: number) => {
      note(task, "keyboard", `${hand.keys + hand.letters} keys`);
      expect(hand.keys + hand.letters).toBeLessThanOrEqual(most);
      hand.rest();
    };
    cost("somebody by name", 8);
    await hand.press("p");
    await at.page.waitForURL("**/plan");
    await awake(at.page);
    hand.rest();
    await at.page.getByRole("button", { name: /^Take out: Bridge/ }).focus();
    await hand.press("Enter");
    await hand.write("Not hers");
    await hand.press("Tab");
    await hand.press("Enter");
    await at.page.getByTestId("undo").waitFor();
    cost("take out of the plan, from its button", 11);
    const undo = at.page.getByTestId("undo").getByRole("button", { name: "Undo" });
    for (let n = 0; n < 6 && !(await undo.evaluate((own) => own === document.activeElement)); n += 1)
      await hand.press("Shift+Tab");
    await hand.press("Enter");
    await at.page.getByTestId("undo").waitFor({ state: "detached" });
    cost("and take that back", 7);
  });
});
