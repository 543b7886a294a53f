import { afterAll, describe, expect, it } from "vitest";
import { demoClinic } from "~demo/clinic";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, signIn, visit } from "~tests/harness/browser";
import { signedIn } from "~tests/harness/client";
import { Hand } from "~tests/harness/hand";
import { byEachHand, somebody } from "~tests/harness/hands";
import { beginning } from "../../tools/machine/template.mjs";

/** What the acts of a day cost: taps and letters by mouse and by finger, keys by keyboard alone. Printed; above its limit a task fails. */
const at = atBrowser({ signedIn: false });
const six = [
  "side-step-up-free",
  "bridge-two-legs",
  "clam-60",
  "hinge-stick",
  "front-plank-feet",
  "ball-squeeze-bent",
];

byEachHand(at, "clinician", (desk) => {
  const { how, task } = desk;
  const name = how === "mouse" ? "Abelgard" : "Ostwaldt";
  let id = "";
  const open = async (hand: Hand, view: string) => {
    await visit(hand.page, `/episodes/${id}${view}`);
    hand.rest();
  };

  task("3 somebody by name", { taps: 2, letters: 4 }, async (hand) => {
    id = await desk.somebody(name, six);
    await visit(hand.page, "/");
    hand.rest();
    await hand.write(name.slice(0, 4), hand.page.getByRole("searchbox"));
    await hand.tap(hand.page.getByRole("link", { name: new RegExp(name) }));
    await hand.page.waitForURL(`**/episodes/${id}`);
    await awake(hand.page);
  });
  task("5 six exercises as prescribed", { taps: 20 }, async (hand) => {
    await open(hand, "/session");
    await hand.pick("Pain before, at the site", 1);
    for (let n = 1; n <= six.length; n += 1) {
      await hand.pick("Worst pain during", 1);
      await hand.pick("Effort", 6);
      if (n < six.length) await hand.tap(hand.button("Next exercise"));
    }
    await hand.tap(hand.button("Record the session"));
    await hand.page.getByTestId("session-summary").waitFor();
  });
  task("8 the next-day report", { taps: 5 }, async (hand) => {
    at.servers.setClock("2026-03-11T08:00:00.000Z");
    await signIn(hand.page);
    await open(hand, "");
    await hand.pick("Pain on waking", 2);
    await hand.choose(hand.page.getByLabel("Swelling"), "same");
    await hand.tap(hand.button("Record the report"));
    await hand.page.getByTestId("report").waitFor({ state: "detached" });
  });
  task("19 take out of the plan, the reason eight letters", { taps: 3, letters: 8 }, async (hand) => {
    await open(hand, "/plan");
    await hand.tap(hand.button(/^Take out: Bridge/));
    await hand.write("Not hers", hand.page.getByRole("textbox", { name: /Why/ }));
    await hand.tap(hand.button("Sign and take out"));
    await hand.page.getByTestId("undo").waitFor();
  });
  task("19 and take that back", { taps: 1 }, async (hand) => {
    await hand.tap(hand.page.getByTestId("undo").getByRole("button", { name: "Undo" }));
    await hand.page.getByTestId("undo").waitFor({ state: "detached" });
  });
  task("20 a stop signal, with whom to call", { taps: 3 }, async (hand) => {
    await open(hand, "");
    await hand.tap(hand.button("Something is wrong"));
    const dialog = hand.page.getByTestId("raise-signal");
    await hand.tap(dialog.getByRole("button", { name: /Calf hot/ }));
    await hand.tap(dialog.getByRole("button", { name: "Raise: suspends the whole plan" }));
    await hand.page.getByTestId("signals").getByText(demoClinic.calls["same-day"]).first().waitFor();
  });
  task("20 clear it in writing", { taps: 3, letters: 7 }, async (hand) => {
    const signals = hand.page.getByTestId("signals");
    await hand.tap(signals.getByText("Clear in writing"));
    await hand.write("No clot", signals.getByRole("textbox"));
    await hand.tap(signals.getByRole("button", { name: "Sign the clearance" }));
    await signals.waitFor({ state: "detached" });
  });
});

describe("by keyboard alone", () => {
  const table: string[] = [];
  afterAll(() => process.stdout.write(`${table.join("\n")}\n`));
  it("somebody by name, an exercise out of the plan and back", async () => {
    at.servers.setClock(beginning);
    const id = await somebody(await signedIn(at.url), "Quillfeldt", six);
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
      table.push(`${task.padEnd(64)} keyboard ${hand.keys + hand.letters} keys`);
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
