import type { Locator, Page } from "playwright-core";

/** A hand at a page, by mouse or by finger, that counts what it does. */
export class Hand {
  taps = 0;
  letters = 0;
  keys = 0;

  constructor(
    readonly page: Page,
    private readonly isFinger: boolean,
  ) {}

  /** Begins to count anew. */
  rest(): void {
    this.taps = this.letters = this.keys = 0;
  }

  async tap(target: Locator): Promise<void> {
    this.taps += 1;
    if (this.isFinger) await target.tap();
    else await target.click();
  }

  /** A number of a 0–10 scale. */
  async pick(label: string, value: number): Promise<void> {
    const radio = this.page.getByRole("radio", { name: `${label} ${value}`, exact: true });
    await this.tap(radio.locator("xpath=.."));
    await radio.and(this.page.locator(":checked")).waitFor({ state: "attached" });
  }

  /** Words into the field that has the focus, or into one that is tapped first. */
  async write(text: string, into?: Locator): Promise<void> {
    if (into) await this.tap(into);
    this.letters += text.length;
    await this.page.keyboard.type(text);
  }

  /** One of a list: opened and chosen. */
  async choose(list: Locator, option: string | { index: number }): Promise<void> {
    this.taps += 2;
    await list.selectOption(option);
  }

  /** A day, or another text that is typed in parts, into its field. */
  async fill(field: Locator, text: string): Promise<void> {
    this.taps += 1;
    this.letters += text.replace(/\D/g, "").length;
    await field.fill(text);
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole("button", { name, exact: typeof name === "string" });
  }

  async press(key: string): Promise<void> {
    this.keys += 1;
    await this.page.keyboard.press(key);
  }
}
