import type { Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addDays } from "~/core/schedule/local-day";
import { atBrowser } from "~tests/harness/at-browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { OwnPhone } from "~tests/harness/own-phone";
import { openStair, phone as phoneSize, pick, visit, visitor, type Visitor } from "~tests/harness/browser";

const at = atBrowser();
let patient: Visitor;
let my: Page;
let own: OwnPhone;
let episode: string;
let today: string;
/** The clock of the server and of the phone, together. */
const setClock = async (instant: string) => {
  at.servers.setClock(instant);
  await my.clock.setSystemTime(instant);
};
/** What cannot be fetched is a complaint of the browser's; nothing else may be. */
const unexpected = () =>
  patient.complaints.splice(0).filter((line) => !/ERR_INTERNET_DISCONNECTED|status of 401/.test(line));

beforeAll(async () => {
  await openStair(at.page, "Stanhope");
  episode = new URL(at.page.url()).pathname.split("/").at(-1) ?? "";
  const stair = await at.page.request.get(`/api/episodes/${episode}`);
  const known = (await stair.json()) as { today: string; asOf: string };
  today = known.today;
  patient = await visitor(at.browser, at.url, phoneSize);
  my = patient.page;
  own = new OwnPhone(patient);
  await setClock(known.asOf);
});
afterAll(() => patient.context.close());

const sent = () => own.sent();
const button = (name: string | RegExp) => my.getByRole("button", { name, exact: typeof name === "string" });
const narrow = () => my.evaluate(() => document.documentElement.scrollWidth <= innerWidth);
const sound = async () => expect(await violationsOf(my, wcag)).toEqual([]);

describe("a patient's own phone", () => {
  it("the clinic makes a code; with the year of birth it opens the plan, and nothing else", async () => {
    await visit(at.page, `/episodes/${episode}/phone`);
    await at.page.getByRole("button", { name: "Make a code" }).click();
    const made = await at.page.getByTestId("phone-code").innerText();
    const code = /[a-z2-9]{5}-[a-z2-9]{5}/.exec(made)?.[0] ?? "";
    await my.goto("/my");
    await my.getByLabel("Code").fill(code.toUpperCase());
    await my.getByLabel("Year of birth").fill("1991");
    await button("Open my exercises").click();
    expect(await my.getByRole("alert").innerText()).toContain("does not work");
    await my.getByLabel("Year of birth").fill("1992");
    await sound();
    await button("Open my exercises").click();
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    expect(await narrow()).toBe(true);
    await sound();
    expect(unexpected()).toEqual([]);
  });

  it("is led through the day set by set, with two taps after each exercise", async () => {
    await button("Start").click();
    await pick(my, "Pain right now, before you start", 1);
    await sound();
    await button("Begin").click();
    const run = my.getByTestId("run");
    const first = await run.getByRole("heading", { level: 1 }).innerText();
    expect(await run.innerText()).toMatch(/Both legs\s+Set 1 of 5/);
    await button("Go").click();
    // The clock counts down by itself.
    await expect
      .poll(() => run.getByRole("timer").innerText(), { timeout: 15_000, interval: 100 })
      .toMatch(/^1[0-4]/);
    await sound();
    await own.exercise(4);
    // Above the rule: said at once, to the patient.
    expect(await run.getByRole("heading", { level: 1 }).innerText()).not.toBe(first);
    // A reload in mid-run loses nothing.
    await my.reload();
    await button("Go on").click();
    await button("Skip").click();
    await button("No time").click();
    expect(await narrow()).toBe(true);
    expect(unexpected()).toEqual([]);
  });

  it("without a connection the day is finished, and nothing is lost by closing the page", async () => {
    await my.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await own.offline();
    for (const pain of [0, 1, 0]) await own.exercise(pain);
    const storageFree = await own.storageBusy();
    await own.exercise(0);
    await my.getByRole("heading", { name: "Done for today" }).waitFor();
    expect(await my.getByTestId("sent").innerText()).toContain("Leave this page open");
    await storageFree();
    expect(await sent()).toContain("One thing will be sent");
    await my.reload();
    await my.getByText("5 of 6 done today.").waitFor();
    expect(await sent()).toContain("One thing will be sent");
    expect(unexpected()).toEqual([]);
  });

  it("next morning, still without one: three taps; then all is sent once, each at its own time", async () => {
    await setClock(`${addDays(today, 1)}T07:00:00.000Z`);
    await my.reload();
    await button("How is it today?").click();
    await pick(my, "Pain when you got up", 2);
    await my.getByText("Not stiff").click();
    await my.getByText("The same").click();
    await sound();
    await button("Save").click();
    expect(await sent()).toContain("2 things will be sent");
    await own.online();
    await own.allSent();
    const told = (await (await patient.context.request.get("/api/phone")).json()) as {
      pains: { date: string; during: number; after: number | null }[];
      morningOf: string | null;
    };
    expect(told.pains.at(-1)).toEqual({ date: today, during: 4, after: 2 });
    expect(told.morningOf).toBeNull();
    expect(unexpected()).toEqual([]);
  });

  it("something is wrong, without a connection: whom to call at once, everything stops, the clinic is told later", async () => {
    await own.offline();
    await button("Something is wrong").click();
    await sound();
    await button(/calf is hot/).click();
    const call = my.getByRole("alert");
    expect(await call.innerText()).toMatch(/Call today[\s\S]*555 0142/);
    expect(await call.innerText()).toContain("told as soon as there is");
    await button("Back").click();
    await my.getByText("Stop. Do no exercises now.").waitFor();
    expect(await button("Start").count()).toBe(0);
    await my.reload();
    await my.getByText("Stop. Do no exercises now.").waitFor();
    await own.online();
    await own.allSent();
    await visit(at.page, "/sign-in");
    expect(unexpected()).toEqual([]);
  });

  it("a run that was left over night is told as of the evening before", async () => {
    const before = await my.evaluate(async () => {
      const db = await new Promise<IDBDatabase>((done) => {
        const asked = indexedDB.open("stair-phone");
        asked.onsuccess = () => done(asked.result);
      });
      const view = await new Promise<{ items: { itemId: string }[] }>((done) => {
        const asked = db.transaction("kept").objectStore("kept").get("view");
        asked.onsuccess = () => done(asked.result as { items: { itemId: string }[] });
      });
      const [item] = view.items;
      const touchedAt = new Date(Date.now() - 9 * 3_600_000).toISOString();
      const run = {
        id: "0198f3a0-0000-7000-8000-00000000abcd",
        startedAt: touchedAt,
        touchedAt,
        painBefore: 0,
        items: view.items,
        at: 1,
        done: [{ itemId: item?.itemId, side: "both" }],
        felt: { [item?.itemId ?? ""]: { pain: 6, site: "episode", effort: 4 } },
        eased: [],
        skipped: [],
      };
      await new Promise((done) => {
        const work = db.transaction("kept", "readwrite");
        work.objectStore("kept").put(run, "run");
        work.oncomplete = done;
      });
      db.close();
      return touchedAt;
    });
    await my.reload();
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    await expect
      .poll(
        async () => {
          const { pains } = (await (await patient.context.request.get("/api/phone")).json()) as {
            pains: { date: string; during: number }[];
          };
          return pains.some(({ date, during }) => date === before.slice(0, 10) && during === 6);
        },
        { timeout: 60_000 },
      )
      .toBe(true);
    await own.allSent();
    expect(unexpected()).toEqual([]);
  });

  it("with no room left it says so, sends what the page holds once it can, and loses nothing till then", async () => {
    await setClock(`${addDays(today, 3)}T17:00:00.000Z`);
    await my.reload();
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    await own.offline();
    await own.storageFull();
    await button("Something is wrong").click();
    await button(/calf is hot/).click();
    await button("Back").click();
    await my.getByText("This phone has no room left.", { exact: false }).waitFor();
    expect(await sent()).toContain("One thing will be sent");
    // Looked at again, as a phone does by itself every so often: it is still there.
    await my.evaluate(() => dispatchEvent(new Event("online")));
    await my.waitForTimeout(500);
    expect(await sent()).toContain("One thing will be sent");
    const clinic = await at.browser.newContext({ baseURL: at.url });
    const clinician = { email: "clinician@tarnstreet.example", password: "one-step-at-a-time" };
    await clinic.request.post("/api/sign-in", { headers: { origin: at.url }, data: clinician });
    const signals = async () => {
      const stair = await clinic.request.get(`/api/episodes/${episode}`);
      return ((await stair.json()) as { signals: object[] }).signals;
    };
    const before = (await signals()).length;
    await own.online();
    await own.allSent();
    expect((await signals()).length).toBe(before + 1);
    await clinic.close();
    expect(unexpected()).toEqual([]);
  });

  it("what I see of myself, and whom to call, in words", async () => {
    await button("How I am doing").click();
    expect(await my.locator("main").innerText()).toMatch(/Step 3 of 6[\s\S]*Pain, 0 to 10[\s\S]*Your rule/);
    await sound();
    expect(await narrow()).toBe(true);
    await button("Help").click();
    expect(await my.locator("main").innerText()).toContain("555 0142");
    await sound();
    await my.setViewportSize({ width: 320, height: 640 });
    expect(await narrow()).toBe(true);
    await my.setViewportSize(phoneSize);
    expect(unexpected()).toEqual([]);
  });

  it("closed by the clinic, it empties itself: nothing of the plan is left to read", async () => {
    const clinic = await visitor(at.browser, at.url);
    await clinic.page.goto("/sign-in");
    const reply = await clinic.context.request.post("/api/sign-in", {
      headers: { origin: at.url },
      data: { email: "clinician@tarnstreet.example", password: "one-step-at-a-time" },
    });
    expect(reply.status()).toBe(200);
    await visit(clinic.page, `/episodes/${episode}/phone`);
    const told = await clinic.page.getByRole("region", { name: /came from phones/ }).innerText();
    expect(told).toMatch(/Something is wrong/);
    expect(told).toMatch(/Morning after/);
    expect(told).toMatch(/late\s+Exercises done\s+4\/10/);
    await clinic.page.getByRole("button", { name: "Close all phones and codes" }).click();
    await clinic.page.getByText("closed by the clinic").first().waitFor();
    await my.reload();
    await my.getByRole("alert").getByText("not open any more").waitFor();
    const left = await my.evaluate(async () => {
      const db = await new Promise<IDBDatabase>((done) => {
        const asked = indexedDB.open("stair-phone");
        asked.onsuccess = () => done(asked.result);
      });
      const count = (store: string) =>
        new Promise<number>((done) => {
          const asked = db.transaction(store).objectStore(store).count();
          asked.onsuccess = () => done(asked.result);
        });
      return (await count("waiting")) + (await count("kept"));
    });
    expect(left).toBe(0);
    expect(clinic.complaints).toEqual([]);
    await clinic.context.close();
    expect(unexpected()).toEqual([]);
  });
});
