import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Page } from "playwright-core";
import type { PlanView } from "~/contract/plan";
import { someIntake } from "~tests/builders/intake";
import { asked } from "~tests/builders/twenty-prescriptions";
import { atBrowser } from "~tests/harness/at-browser";
import { signIn, visit } from "~tests/harness/browser";
import { signedIn, type Client } from "~tests/harness/client";

/**
 * Seconds that a practised person takes: the keystroke-level model (Card, Moran and Newell 1980: a key 0.28 s of an average typist, a
 * place pointed at 1.1 s and pressed 0.1 s, a thought 1.35 s; recalled), on glass 0.33 s a letter (36 words a minute of 37 000 people, Palin et al. 2019;
 * recalled). The answers of the machine come on top; they are printed.
 */
const seconds = { key: 0.28, letterOnGlass: 0.33, tap: 1.2, thought: 1.35 };
/** Which exercise, which of its hits, what dose, is it right. */
const thoughts = 4;
const atMost = 20;

/** Five prescriptions each. */
const people = [
  ["kneecap-pain", "capacity"],
  ["hip-impingement", "strength"],
  ["hamstring-strain", "lengthen-under-load"],
  ["stairs-again", "stairs"],
] as const;
const at = atBrowser();
let client: Client;
let touch: Page;
let closeTouch: () => Promise<void>;
const table: string[] = [];

beforeAll(async () => {
  client = await signedIn(at.url);
  const context = await at.browser.newContext({
    baseURL: at.url,
    viewport: { width: 820, height: 1180 },
    hasTouch: true,
    locale: "en-GB",
    reducedMotion: "reduce",
  });
  touch = await context.newPage();
  closeTouch = () => context.close();
  await signIn(touch);
});
afterAll(async () => {
  await closeTouch();
  process.stdout.write(`${table.join("\n")}\n`);
});

/** Somebody of the pathway, with a plan of one thing. */
async function somebody([pathway, stage]: readonly [string, string]): Promise<string> {
  const id = uuid();
  const intake = someIntake(pathway, { involvedSide: "right", irritability: "low" });
  const signed = await client.post("/api/intakes", {
    id,
    intake,
    stage,
    reason: "Walks well",
    items: [{ id: uuid(), exerciseId: "gluteal-set", variantId: "gluteal-set-both" }],
  });
  expect(signed.body.problems ?? []).toEqual([]);
  return id;
}

/** What stands in the plan of the variant. */
async function prescribed(id: string, variantId: string) {
  const plan = (await client.get(`/api/episodes/${id}/plan`)).body as unknown as PlanView;
  return plan.items.find(({ prescription }) => prescription.variantId === variantId)?.prescription;
}

/** Waits for the hits of the words in full: while one types, the list changes with each letter. */
const hitsFor = (page: Page, text: string) =>
  page.waitForResponse((answer) => new URL(answer.url()).searchParams.get("text") === text);

const doseButton = (page: Page, variantId: string) => page.locator(`[data-hit="${variantId}"]`);

describe.each(asked.map((one, n) => ({ ...one, about: people[Math.floor(n / 5)] ?? people[0] })))(
  "'$said'",
  (one) => {
    const { typed, line, variant, settings = {}, dose = {}, leg, about } = one;
    const expected = { settings, dose, ...(leg ? { leg } : {}) };

    it("by keyboard alone", async () => {
      const id = await somebody(about);
      const { page } = at;
      await visit(page, `/episodes/${id}/plan`);
      let keys = 0;
      const press = async (key: string) => {
        keys += 1;
        await page.keyboard.press(key);
      };
      const type = async (text: string) => {
        keys += text.length;
        await page.keyboard.type(text);
      };
      await press("/");
      const found = hitsFor(page, typed);
      await type(typed);
      await found;
      await doseButton(page, variant).waitFor();
      const hits = await page
        .locator("[data-hit]")
        .evaluateAll((all) => all.map((hit) => hit.getAttribute("data-hit")));
      for (let n = 0; n <= hits.indexOf(variant); n += 1) await press("ArrowDown");
      await press("Enter");
      const form = page.getByTestId("add-with-dose");
      await form.waitFor();
      await type(line);
      await press("Enter");

      const meant = form.getByRole("button", { name: "Yes, meant so" });
      await Promise.race([meant.waitFor(), form.waitFor({ state: "detached" })]);
      if (await meant.isVisible()) {
        // The question came as a refusal, of which the browser's own log knows.
        expect(at.person.complaints.splice(0).join()).toContain("422");
        await meant.focus();
        await press("Enter");
        await form.waitFor({ state: "detached" });
      }
      expect(await prescribed(id, variant)).toMatchObject(expected);
      const took = keys * seconds.key + thoughts * seconds.thought;
      table.push(`keyboard ${took.toFixed(1).padStart(5)} s  ${keys} keys  ${one.said}`);
      expect(took).toBeLessThan(atMost);
    });

    it("by touch on a tablet", async () => {
      const id = await somebody(about);
      await visit(touch, `/episodes/${id}/plan`);
      let taps = 0;
      const tap = async (target: ReturnType<Page["locator"]>) => {
        taps += 1;
        await target.tap();
      };
      await tap(touch.getByRole("searchbox"));
      const found = hitsFor(touch, typed);
      await touch.keyboard.type(typed);
      await found;
      await tap(doseButton(touch, variant));
      const form = touch.getByTestId("add-with-dose");
      await form.waitFor();
      await touch.keyboard.type(line);
      await tap(form.getByRole("button", { name: "Add", exact: true }));
      const meant = form.getByRole("button", { name: "Yes, meant so" });
      await Promise.race([meant.waitFor(), form.waitFor({ state: "detached" })]);
      if (await meant.isVisible()) await tap(meant);
      await form.waitFor({ state: "detached" });
      expect(await prescribed(id, variant)).toMatchObject(expected);
      const letters = typed.length + line.length;
      const took = letters * seconds.letterOnGlass + taps * seconds.tap + thoughts * seconds.thought;
      table.push(`touch    ${took.toFixed(1).padStart(5)} s  ${taps} taps, ${letters} letters  ${one.said}`);
      expect(took).toBeLessThan(atMost);
    });
  },
);
