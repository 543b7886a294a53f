import { expect } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, visit } from "~tests/harness/browser";
import type { Hand } from "~tests/harness/hand";
import { byEachHand } from "~tests/harness/hands";

/** New patients of four kinds, from the first field to the signed plan, with what each costs. */
const at = atBrowser({ signedIn: false });

/** A new patient from the first field to the signed plan. */
async function takeIn(
  hand: Hand,
  who: { name: string; bornOn: string; work: string; pathway: string; what: string; since: string },
  more: () => Promise<unknown> = () => Promise.resolve(),
): Promise<void> {
  const { page } = hand;
  const field = (name: string) => page.getByLabel(name, { exact: true });
  const list = (name: string) => page.locator(`select[name=${name}]`);
  await visit(page, "/intake");
  hand.rest();
  await hand.tap(hand.button("None of these"));
  // The next question has the focus, once the tap has become a click.
  await page.locator("[name=givenName]:focus").waitFor();
  await hand.write("Ida");
  await hand.write(who.name, field("Family name"));
  await hand.fill(field("Born on"), who.bornOn);
  await hand.write(who.work, field("Sport or work"));
  await hand.tap(page.getByLabel("Agrees that this is kept"));
  await hand.choose(list("pathway"), who.pathway);
  await hand.choose(list("involvedSide"), "left");
  await hand.write(who.what, field("What happened, as referred"));
  await hand.fill(field("Since"), who.since);
  await more();
  const sign = hand.button("Sign stage and plan");
  await sign.and(page.locator(":enabled")).waitFor();
  await hand.tap(sign);
  await page.waitForURL(/\/episodes\/[0-9a-f-]{36}$/);
  await awake(page);
  expect(await page.locator("h1").innerText()).toBe(`Ida ${who.name}`);
}

byEachHand(at, "clinician", ({ how, task }) => {
  const mouse = how === "mouse";
  task("11 a new knee reconstruction, to the signed plan", { taps: 20, letters: 70 }, (hand) =>
    takeIn(
      hand,
      {
        name: mouse ? "Vesterhall" : "Vesterlund",
        bornOn: "2001-07-19",
        work: "Surveyor",
        pathway: "ligament-reconstruction",
        what: "Cruciate ligament",
        since: "2026-01-10",
      },
      async () => {
        await hand.fill(hand.page.getByLabel("Operated on"), "2026-03-03");
        await hand.choose(hand.page.locator("select[name=procedure]"), "cruciate ligament reconstruction");
        await hand.choose(hand.page.locator("select[name=graft]"), "hamstring");
      },
    ),
  );
  task("12 a new groin strain", { taps: 14, letters: 60 }, (hand) =>
    takeIn(hand, {
      name: mouse ? "Brennhov" : "Brennvik",
      bornOn: "1994-02-11",
      work: "Roofer",
      pathway: "groin-strain",
      what: "Groin strain",
      since: "2026-02-20",
    }),
  );
  task("13 a new person of 80 with thin bones who fell", { taps: 17, letters: 60 }, (hand) =>
    takeIn(
      hand,
      {
        name: mouse ? "Aldergren" : "Aldermo",
        bornOn: "1945-05-01",
        work: "Gardens",
        pathway: "kneecap-pain",
        what: "Pain on stairs",
        since: "2026-02-01",
      },
      async () => {
        await hand.tap(hand.page.getByLabel("osteoporosis"));
        await hand.tap(hand.page.getByLabel("fell in the last year"));
      },
    ),
  );
  task("14 a new stiff back", { taps: 14, letters: 60 }, (hand) =>
    takeIn(hand, {
      name: mouse ? "Sundkvist" : "Sundmark",
      bornOn: "1979-09-30",
      work: "Baker",
      pathway: "back-stiff-extension",
      what: "Back stiff",
      since: "2026-02-01",
    }),
  );
});
