import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { someIntake } from "~tests/builders/intake";
import { beginning } from "../../tools/machine/template.mjs";
import type { AtBrowser } from "./at-browser";
import { idOf } from "./at-clinic";
import { phone, signIn, tablet } from "./browser";
import { signedIn, type Client } from "./client";
import { Hand } from "./hand";

/** What a task may cost at most. */
export interface TaskLimit {
  readonly taps: number;
  readonly letters?: number;
}

/** Somebody at a page with a hand, who does tasks that are counted. Filled before the first test. */
export interface Desk {
  readonly how: "mouse" | "finger";
  hand: Hand;
  client: Client;
  /** Does a task and counts it: printed, and above its limit it fails. */
  task: (name: string, limit: TaskLimit, act: (hand: Hand) => Promise<unknown>) => void;
  /** Somebody of a name of their own, with some exercises in the plan. @returns the episode */
  somebody: (familyName: string, variants?: readonly string[]) => Promise<string>;
}

/** Somebody of a name of their own, with some exercises in the plan. @returns the episode */
export async function somebody(
  client: Client,
  familyName: string,
  variants: readonly string[] = ["bridge-two-legs"],
): Promise<string> {
  const id = uuid();
  const intake = someIntake("kneecap-pain", { irritability: "low" });
  const reply = await client.post("/api/intakes", {
    id,
    intake: { ...intake, person: { ...intake.person, familyName } },
    stage: "capacity",
    reason: "Walks well, all of it known",
    items: variants.map((variantId) => ({ id: uuid(), exerciseId: idOf(variantId), variantId })),
  });
  expect(reply.body.problems ?? []).toEqual([]);
  return id;
}

const hands = [
  { how: "mouse", viewport: tablet, isFinger: false },
  { how: "finger", viewport: phone, isFinger: true },
] as const;

/** Tasks by mouse at 1280 × 800, and the same by finger at 390 × 844. What they took is printed in the end. */
export function byEachHand(at: AtBrowser, role: "clinician" | "lead", tasks: (desk: Desk) => void): void {
  const table: string[] = [];
  afterAll(() => process.stdout.write(`${table.join("\n")}\n`));
  describe.each(hands)("by $how", ({ how, viewport, isFinger }) => {
    let close = () => Promise.resolve();
    const desk = {
      how,
      task: (name, limit, act) =>
        it(name, async () => {
          desk.hand.rest();
          await act(desk.hand);
          const { taps, letters } = desk.hand;
          table.push(
            `${name.padEnd(64)} ${how.padEnd(7)} ${taps} taps${letters > 0 ? `, ${letters} letters` : ""}`,
          );
          expect(taps, "taps").toBeLessThanOrEqual(limit.taps);
          expect(letters, "letters").toBeLessThanOrEqual(limit.letters ?? 0);
        }),
      somebody: (familyName, variants) => somebody(desk.client, familyName, variants),
    } as Desk;
    beforeAll(async () => {
      at.servers.setClock(beginning);
      desk.client = await signedIn(at.url);
      const context = await at.browser.newContext({
        baseURL: at.url,
        viewport,
        hasTouch: isFinger,
        locale: "en-GB",
        reducedMotion: "reduce",
      });
      context.setDefaultTimeout(20_000);
      const page = await context.newPage();
      await signIn(page, role);
      desk.hand = new Hand(page, isFinger);
      close = () => context.close();
    });
    afterAll(() => close());
    tasks(desk);
  });
}
