import type { Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { PhoneView } from "~/contract/phone";
import type { SetRecord } from "~/core/response/session-record";
import { addDays } from "~/core/schedule/local-day";
import { atBrowser } from "~tests/harness/at-browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { OwnPhone } from "~tests/harness/own-phone";
import { openStair, phone as phoneSize, pick, visit, visitor, type Visitor } from "~tests/harness/browser";

const at = atBrowser({ notifies: true });
let patient: Visitor;
let my: Page;
let own: OwnPhone;
let episode: string;
let today: string;
const unexpected = () =>
  patient.complaints.splice(0).filter((line) => !/ERR_INTERNET_DISCONNECTED|status of 401/.test(line));

beforeAll(async () => {
  await openStair(at.page, "Stanhope");
  episode = new URL(at.page.url()).pathname.split("/").at(-1) ?? "";
  const known = (await (await at.page.request.get(`/api/episodes/${episode}`)).json()) as {
    today: string;
    asOf: string;
  };
  today = known.today;
  patient = await visitor(at.browser, at.url, phoneSize);
  my = patient.page;
  own = new OwnPhone(patient);
  at.servers.setClock(known.asOf);
  await my.clock.setSystemTime(known.asOf);
  const made = await at.page.request.post(`/api/episodes/${episode}/phones`, { headers: { origin: at.url } });
  const { token } = (await made.json()) as { token: string };
  await own.open(token);
});
afterAll(() => patient.context.close());

/** Puts something among what the phone keeps; null takes it away. */
const keepOnPhone = (what: Record<string, unknown>) =>
  my.evaluate(
    (values) =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open("stair-phone");
        asked.onerror = () => reject(new Error("no storage"));
        asked.onsuccess = () => {
          const work = asked.result.transaction("kept", "readwrite");
          for (const [key, value] of Object.entries(values)) {
            if (value === null) work.objectStore("kept").delete(key);
            else work.objectStore("kept").put(value, key);
          }
          work.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    what,
  );
const button = (name: string | RegExp) => my.getByRole("button", { name, exact: typeof name === "string" });
const sound = async () => expect(await violationsOf(my, wcag)).toEqual([]);

describe("good days and bad knees", () => {
  it("the clinic allows an exercise in writing; the phone offers one notch more of it, and tells what was done", async () => {
    await visit(at.page, `/episodes/${episode}/phone`);
    const card = at.page.getByTestId("harder");
    const row = card.getByRole("listitem").filter({ hasText: "Would be offered today" }).first();
    await row.getByRole("button", { name: /^Allow/ }).click();
    await row.getByLabel("Reason").fill("Steady for three weeks, asks for more");
    expect(await violationsOf(at.page, wcag)).toEqual([]);
    await row.getByRole("button", { name: "Sign: allow" }).click();
    await card.getByText(/^Offered today/).waitFor();
    await card.getByText(/Allowed by Jorun Vask/).waitFor();
    const phones = (await (await at.page.request.get(`/api/episodes/${episode}/phones`)).json()) as {
      harder: { name: string; word: object | null }[];
    };
    const name = phones.harder.find(({ word }) => word !== null)?.name ?? "";

    const view = (await (await patient.context.request.get("/api/phone")).json()) as PhoneView;
    const item = view.items.find((one) => one.harder);
    if (!item?.harder) throw new Error("nothing harder is offered");
    const { harder, prescription: planned } = item;
    await my.reload();
    await button("Start").click();
    await pick(my, "Pain right now, before you start", 1);
    await button("Begin").click();
    const run = my.getByTestId("run");
    // Whatever stands before it is left for another time.
    while ((await run.getByRole("heading", { level: 1 }).innerText()) !== name) {
      await button("Skip").click();
      await button("No time").click();
      if (await button("I am ready").isVisible()) await button("I am ready").click();
    }
    await button(/^Harder today/).click();
    expect(await button("As planned").getAttribute("aria-pressed")).toBe("true");
    await sound();
    await own.exercise(1);
    // The rest waits; what was done is told with what was turned.
    for (;;) {
      if (await my.getByRole("heading", { name: "Done for today" }).isVisible()) break;
      if (await button("I am ready").isVisible()) await button("I am ready").click();
      else if (await button("Skip").isVisible()) {
        await button("Skip").click();
        await button("No time").click();
      } else await my.getByRole("heading", { name: "Done for today" }).waitFor();
    }
    await own.allSent();
    const record = (await (await at.page.request.get(`/api/episodes/${episode}/record`)).json()) as {
      entries: { kind: string; session?: { alone?: boolean; items: { sets: SetRecord[] }[] } }[];
    };
    const told = record.entries.find(({ kind, session }) => kind === "session" && session?.alone === true);
    expect(told?.session?.items).toHaveLength(1);
    const { dose } = harder.prescription;
    const changed = Object.entries(harder.prescription.settings).filter(
      ([knob, to]) => planned.settings[knob] !== to,
    );
    for (const set of told?.session?.items[0]?.sets ?? []) {
      expect([set.loadKg, set.settings]).toEqual([
        dose.loadKg,
        changed.length > 0 ? Object.fromEntries(changed) : undefined,
      ]);
      if (dose.reps) expect(set.reps).toBe(dose.reps.top);
      else if (dose.hold) expect(set.holdSeconds).toBe(dose.hold.top);
    }
    expect(harder.prescription).not.toEqual(planned);
    expect(unexpected()).toEqual([]);
  });

  it("who starts with pain above the rule is not offered more", async () => {
    await button("Today").click();
    await button("Do the rest").click();
    await pick(my, "Pain right now, before you start", 3);
    await button("Begin").click();
    await my.getByTestId("run").waitFor();
    expect(await button(/^Harder today/).count()).toBe(0);
    await my.reload();
    await button("Go on").waitFor();
  });

  it("whoever asks for it does only what is done on the floor, and is asked so the next day too", async () => {
    await keepOnPhone({ run: null });
    await my.reload();
    await button("Only lying, or only sitting?").click();
    await sound();
    const all = await my.getByRole("listitem").count();
    await my.getByText(/^only on the floor/).click();
    const floor = await my.getByRole("listitem").count();
    expect(floor).toBeLessThan(all);
    expect(floor).toBeGreaterThan(0);
    await my.reload();
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    expect(await my.getByLabel(/^only on the floor/).isChecked()).toBe(true);
    await my.getByText(/^all of it/).click();
    expect(unexpected()).toEqual([]);
  });

  it("a page older than the server fetches itself anew once, and loses nothing", async () => {
    let served = 0;
    await my.route("**/api/phone", async (route) => {
      served += 1;
      const response = await route.fetch();
      await route.fulfill({ response, headers: { ...response.headers(), "stair-edition": "of-tomorrow" } });
    });
    const again = my.waitForEvent("load");
    await my.evaluate(() => void dispatchEvent(new Event("online")));
    await again;
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    // No other page is to be had: it goes on with this one.
    await expect.poll(() => served, { timeout: 15_000 }).toBeGreaterThan(1);
    await my.getByRole("heading", { name: /^Hello/ }).waitFor();
    await my.unrouteAll({ behavior: "ignoreErrors" });
    await my.reload();
    expect(await own.sent()).toContain("All sent");
    expect(unexpected()).toEqual([]);
  });

  it("asks for the morning on the locked screen, where the phone lets it, once and without a word of what is treated", async () => {
    await patient.context.grantPermissions(["notifications"], { origin: at.url });
    const devtools = await patient.context.newCDPSession(my);
    const registered = new Promise<string>((resolve) =>
      devtools.on("ServiceWorker.workerRegistrationUpdated", ({ registrations }) => {
        const [one] = registrations;
        if (one) resolve(one.registrationId);
      }),
    );
    await devtools.send("ServiceWorker.enable");
    const registrationId = await registered;
    // Headless, nothing is installed, and the browser wakes nobody: what the page keeps for it is put there by hand.
    const ahead = Date.parse(`${addDays(today, 1)}T08:00:00.000Z`) - Date.now();
    await keepOnPhone({ reminder: { title: "How is it today?", body: "Three taps." } });
    const wake = () =>
      devtools.send("ServiceWorker.dispatchPeriodicSyncEvent", {
        origin: at.url,
        registrationId,
        tag: "stair-morning",
      });
    const shown = () =>
      my.evaluate(async () =>
        (await (await navigator.serviceWorker.ready).getNotifications()).map(({ title, body }) => [
          title,
          body,
        ]),
      );
    await wake();
    expect(await shown()).toEqual([]);
    const shownByMorning = async () => {
      // Whatever the page reads meanwhile puts its own clock in place of this one.
      await keepOnPhone({ ahead });
      await wake();
      return shown();
    };
    await expect.poll(shownByMorning, { timeout: 15_000 }).toEqual([["How is it today?", "Three taps."]]);
    await my.evaluate(async () =>
      (await (await navigator.serviceWorker.ready).getNotifications()).forEach((one) => one.close()),
    );
    expect(await shownByMorning()).toEqual([]);
    await button("How I am doing").click();
    await my.getByTestId("remind-here").waitFor();
    await sound();
    expect(unexpected()).toEqual([]);
  });
});
