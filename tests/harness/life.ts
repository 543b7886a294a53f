import { addDays } from "~/core/schedule/local-day";
import type { AtBrowser } from "./at-browser";
import { pick, signIn, visit } from "./browser";
import { recordByLines } from "./session";

/** Somebody's weeks, lived in the browser: sessions, reports, signatures, day by day. */
export class Life {
  /** Address of the stair. */
  stair = "";

  /** @param plan exercises in the order in which outcomes are told */
  constructor(
    private readonly at: AtBrowser,
    private readonly plan: readonly string[],
  ) {}

  /** The clinic's clock stands at an instant (UTC), and the clinician looks at the stair, or at another view. */
  async arrive(date: string, time: string, view = this.stair): Promise<void> {
    this.at.servers.setClock(`${date}T${time}:00Z`);
    await visit(this.at.page, view);
    if (!this.at.page.url().includes("/sign-in")) return;
    await signIn(this.at.page);
    await visit(this.at.page, view);
  }

  /** What is said of each exercise of the plan. */
  outcomes(): Promise<string[]> {
    return Promise.all(
      this.plan.map((id) => this.at.page.getByTestId(`item-${id}`).getByTestId("outcome").innerText()),
    );
  }

  /** The whole text of one item, opened where the list folds it. */
  async item(id: string): Promise<string> {
    const entry = this.at.page.getByTestId(`item-${id}`);
    const folded = entry.locator("[aria-expanded=false]").first();
    if (await folded.count()) await folded.click();
    return entry.innerText();
  }

  /** A session at ten; what is said right after it. */
  async train(date: string, before: number, lines: readonly string[]): Promise<string[]> {
    await this.arrive(date, "09:00", `${this.stair}/session`);
    await recordByLines(this.at.page, this.stair, before, lines);
    return this.outcomes();
  }

  /** The report of that day, given the next morning; what is said then. */
  async report(date: string, next: number): Promise<string[]> {
    await this.arrive(addDays(date, 1), "07:00");
    await pick(this.at.page, "Pain on waking", next);
    await this.at.page.getByRole("button", { name: "Record the report" }).click();
    await this.at.page.getByTestId("report").waitFor({ state: "detached" });
    return this.outcomes();
  }

  async signAll(count: number): Promise<void> {
    await this.at.page.getByRole("button", { name: `Sign all ${count}` }).click();
    await this.at.page.getByText(`${count} proposals signed`).waitFor();
  }

  /** How many of an item's good days are named as there, and as needed. */
  async run(id: string): Promise<string | undefined> {
    return /(\d) of (\d) good/
      .exec(await this.item(id))
      ?.slice(1, 3)
      .join("/");
  }
}
