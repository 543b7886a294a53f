import type { Page } from "playwright-core";
import { expect } from "vitest";
import { pick, type Visitor } from "./browser";

/** A patient's own phone in the browser: opened by a link, trained with, told the morning after, with a connection or without. */
export class OwnPhone {
  constructor(private readonly visitor: Visitor) {}

  get page(): Page {
    return this.visitor.page;
  }

  /** What stands in the phone's own list of things to send, once what was told is kept. */
  async sent(): Promise<string> {
    const line = this.page.getByTestId("sent").filter({ hasNotText: "Keeping" });
    await line.waitFor();
    return line.innerText();
  }
  private button = (name: string | RegExp) =>
    this.page.getByRole("button", { name, exact: typeof name === "string" });

  async open(token: string): Promise<void> {
    await this.page.goto(`/my#${token}`);
    await this.page.getByRole("heading", { name: /^Hello/ }).waitFor();
    await this.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  }

  /** Its clock stands at an instant, and it is looked at. */
  async lookAt(instant: string): Promise<void> {
    await this.page.clock.setSystemTime(instant);
    await this.page.reload();
    await this.page.getByRole("heading", { name: /^Hello/ }).waitFor();
  }

  /** Its storage is busy with something else until the answer is called. */
  async storageBusy(): Promise<() => Promise<void>> {
    await this.page.evaluate(async () => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open("stair-phone");
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(new Error("the phone's storage does not open"));
      });
      const store = db.transaction(["waiting", "kept"], "readwrite").objectStore("kept");
      const free = new AbortController();
      addEventListener("storage-free", () => free.abort(), { once: true });
      // A transaction stays open for as long as something is asked of it.
      const ask = () => {
        store.get("nothing").onsuccess = () => (free.signal.aborted ? db.close() : ask());
      };
      ask();
    });
    return () => this.page.evaluate(() => void dispatchEvent(new Event("storage-free")));
  }

  /** There is no room left in its storage for anything to be sent. */
  storageFull = () =>
    this.page.evaluate(() => {
      IDBObjectStore.prototype.add = () => {
        throw new DOMException("no room", "QuotaExceededError");
      };
    });

  offline = () => this.visitor.context.setOffline(true);

  async online(): Promise<void> {
    await this.visitor.context.setOffline(false);
    await this.page.evaluate(() => dispatchEvent(new Event("online")));
  }

  allSent = () => expect.poll(() => this.sent(), { timeout: 60_000 }).toContain("All sent");

  /** The day of one exercise, set by set. */
  async train(before: number, pain: number): Promise<void> {
    await this.button("Start").click();
    await pick(this.page, "Pain right now, before you start", before);
    await this.button("Begin").click();
    await this.exercise(pain);
    await this.page.getByRole("heading", { name: "Done for today" }).waitFor();
  }

  /** Taps through the sets and rests of the exercise in hand, and tells how it was. */
  async exercise(pain: number): Promise<void> {
    const told = this.page.getByRole("heading", { name: "How was it?" });
    const next = this.page.getByTestId("run").locator("button.btn-primary").last();
    while (!(await told.isVisible())) await next.or(told).first().click();
    await pick(this.page, "Most pain while you did it", pain);
    if (pain > 0) await this.page.getByText("The place we treat").click();
    await pick(this.page, "How hard was it?", 5);
    await this.button(/Next exercise|Finish/).click();
  }

  async morning(pain: number): Promise<void> {
    await this.button("How is it today?").click();
    await pick(this.page, "Pain when you got up", pain);
    await this.page.getByText("Not stiff").click();
    await this.page.getByText("The same").click();
    await this.button("Save").click();
    await this.page.getByTestId("sent").waitFor();
  }
}
