import { v7 as uuid } from "uuid";
import { Secret, TOTP } from "otpauth";
import { expect } from "vitest";
import { demoPassword } from "~demo/clinic";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, visit } from "~tests/harness/browser";
import { signedIn } from "~tests/harness/client";
import type { Hand } from "~tests/harness/hand";
import { byEachHand } from "~tests/harness/hands";
import { beginning } from "../../tools/machine/template.mjs";

/** The tasks about the library, the clinic and the people who work there, done by its lead, with what each costs. */
const at = atBrowser({ signedIn: false });

byEachHand(at, "lead", (desk) => {
  const { how, task } = desk;
  const mine = how === "mouse" ? "hall" : "mo";
  let id = "";
  const open = async (hand: Hand, view: string) => {
    await visit(hand.page, view);
    hand.rest();
  };
  const ofPatient = async (hand: Hand, view: string) => {
    if (id === "") id = await desk.somebody(`Lindes${mine}`, ["bridge-two-legs", "clam-60"]);
    await open(hand, `/episodes/${id}${view}`);
  };

  task("3 a closed patient, by name, from anywhere", { taps: 3, letters: 8 }, async (hand) => {
    const closed = await desk.somebody(`Ullen${mine}`);
    const end = { id: uuid(), kind: "discharge", reason: "Goals met" };
    expect((await desk.client.post(`/api/episodes/${closed}/turns`, end)).status).toBe(201);
    await open(hand, "/library");
    await hand.tap(hand.button(/^Find/).first());
    await hand.write(`ullen${mine.slice(0, 3)}`, hand.page.getByTestId("palette").getByRole("combobox"));
    await hand.tap(hand.page.getByRole("option", { name: /Ullen.*closed/ }));
    await hand.page.waitForURL(`**/episodes/${closed}`);
    await awake(hand.page);
  });
  task("18 the same exercise twice, in another setting", { taps: 3, letters: 16 }, async (hand) => {
    await ofPatient(hand, "/plan");
    await hand.write("bridge two leg", hand.page.getByRole("searchbox"));
    const form = hand.page.getByTestId("add-with-dose");
    await hand.tap(hand.page.getByRole("button", { name: /^Set dose and add: Bridge/ }).first());
    await form.waitFor();
    await hand.tap(form.getByRole("button", { name: "Add", exact: true }));
    await form.waitFor({ state: "detached" });
    expect(await hand.page.getByTestId(/^plan-bridge/).count()).toBe(2);
  });
  task("21 hip abductors, at home, no kit, little knee bend", { taps: 8 }, async (hand) => {
    await open(hand, "/library");
    const { page } = hand;
    const filters = page.getByRole("button", { name: /^Filters/ });
    if (await filters.isVisible()) await hand.tap(filters);
    const list = (name: string) => page.getByRole("combobox", { name, exact: true });
    await hand.choose(list("Lane"), "hip-abductors");
    await hand.choose(list("Kit"), "none");
    await hand.tap(page.getByLabel(/^Knee bent/));
    await page
      .getByTestId("library-count")
      .getByText(/^\d+ exercises?/)
      .waitFor();
    expect(await page.getByTestId("cards").getByRole("link").count()).toBeGreaterThan(2);
  });
  task("21 by a colleague's word for it", { taps: 1, letters: 9 }, async (hand) => {
    await open(hand, "/library");
    await hand.write("clamshell", hand.page.getByLabel("Search the library"));
    await hand.page.getByTestId("cards").getByText(/clam/i).first().waitFor();
  });
  task("22 two variants compared, the comparison in the address", { taps: 2 }, async (hand) => {
    await open(hand, "/library/two-leg-squat?variant=squat-free");
    await hand.choose(hand.page.getByRole("combobox", { name: "Compare with", exact: true }), "touch-down");
    await hand.page.getByRole("table", { name: "Side by side" }).waitFor();
    const shared = await hand.page.context().newPage();
    await visit(shared, hand.page.url());
    await shared.getByRole("table", { name: "Side by side" }).getByText("Touch-down").first().waitFor();
    await shared.close();
  });
  task("25 the gate printed", { taps: 1 }, async (hand) => {
    await ofPatient(hand, "/gate");
    await hand.page.evaluate(() => (window.print = () => (document.title = "on paper")));
    await hand.tap(hand.button("Print"));
    expect(await hand.page.title()).toBe("on paper");
  });
  task("25 the record exported", { taps: 1 }, async (hand) => {
    await ofPatient(hand, "/record");
    const file = hand.page.waitForEvent("download");
    await hand.tap(hand.page.getByRole("link", { name: "Export record" }));
    expect((await file).suggestedFilename()).toMatch(/\.json$/);
  });
  task("26 the same person entered twice, merged", { taps: 6, letters: 20 }, async (hand) => {
    await desk.somebody(`Twice${mine}`);
    await ofPatient(hand, "/person");
    const { page } = hand;
    await hand.tap(page.getByText("Entered twice?"));
    await hand.write(`twice${mine}`, page.getByTestId("merge").getByLabel("Name or year of birth"));
    await hand.tap(page.getByTestId("merge").getByRole("button", { name: "Find" }));
    await hand.tap(
      page
        .getByTestId("merge")
        .getByRole("button", { name: /The same person/ })
        .first(),
    );
    await hand.write("Same pass", page.getByLabel("How it is known that both are one person"));
    await hand.tap(hand.button("Sign: merge"));
    await page.getByText(/^One episode of another entry came over/).waitFor();
  });
  task("27 handed over to a colleague", { taps: 5, letters: 10 }, async (hand) => {
    await ofPatient(hand, "/person");
    const { page } = hand;
    await hand.tap(hand.button("Hand over to a colleague"));
    await hand.choose(page.getByTestId("holder").getByRole("combobox"), { index: 0 });
    await hand.write("On holiday", page.getByLabel("Why, and what to look out for"));
    await hand.tap(hand.button("Sign the handover"));
    await hand.button("Sign the handover").waitFor({ state: "detached" });
  });
  task("28 one's own password", { taps: 3, letters: 50 }, async (hand) => {
    // Changed, and what it was again for whatever comes after.
    const [from, to] = [demoPassword, "quiet-heron-under-alder"];
    await open(hand, "/account");
    const { page } = hand;
    await hand.write(from, page.getByLabel("Password you have"));
    await hand.write(to, page.getByLabel("New password"));
    await hand.tap(hand.button("Change the password"));
    await page.getByText("Changed. Every other browser is signed out.").waitFor();
    await open(hand, "/account");
    await page.getByLabel("Password you have").fill(to);
    await page.getByLabel("New password").fill(from);
    await hand.button("Change the password").click();
    await page.getByText("Changed. Every other browser is signed out.").waitFor();
    hand.taps = 3;
    hand.letters = from.length + to.length;
  });
  task("28 a second factor", { taps: 5, letters: 30 }, async (hand) => {
    await open(hand, "/account");
    const box = hand.page.getByTestId("second-factor");
    await hand.tap(box.getByRole("button", { name: "Set it up" }));
    await hand.write(demoPassword, box.getByLabel(/Your password/));
    await hand.tap(box.getByRole("button", { name: "Set it up" }));
    const key = (await box.getByText(/^Key:/).innerText()).replace("Key:", "").trim();
    const code = new TOTP({ secret: Secret.fromBase32(key) }).generate({ timestamp: Date.parse(beginning) });
    await hand.write(code, box.getByLabel("Code of the app"));
    await hand.tap(box.getByRole("button", { name: "Turn it on" }));
    await box.getByRole("button", { name: "I have them" }).click();
  });
  task("28 and turned off again", { taps: 3, letters: 20 }, async (hand) => {
    await open(hand, "/account");
    const box = hand.page.getByTestId("second-factor");
    await hand.tap(box.getByRole("button", { name: "Turn it off" }));
    await hand.write(demoPassword, box.getByLabel(/password/i));
    await hand.tap(box.getByRole("button", { name: "Turn it off" }));
    await box.getByRole("button", { name: "Set it up" }).waitFor();
  });
  task("28 every other browser signed out", { taps: 1 }, async (hand) => {
    await signedIn(at.url, "lead");
    await open(hand, "/account");
    await hand.tap(hand.button("Sign out everywhere else"));
    await hand.button("Sign out everywhere else").waitFor({ state: "detached" });
  });
  task("29 a colleague added, with the link for a password", { taps: 4, letters: 40 }, async (hand) => {
    await open(hand, "/clinic/staff");
    const form = hand.page.getByTestId("add-colleague");
    await hand.write(`Ilse ${mine}`, form.getByLabel("Name"));
    await hand.write(`ilse.${mine}@tarn.example`, form.getByLabel("E-mail"));
    await hand.tap(form.getByRole("button", { name: "Add" }));
    const row = hand.page
      .getByTestId("colleagues")
      .getByRole("listitem")
      .filter({ hasText: `Ilse ${mine}` });
    await hand.tap(row.getByRole("button", { name: "Link for a password" }));
    expect(await hand.page.getByRole("dialog").getByRole("textbox").inputValue()).toContain("/set-password");
    await hand.button("Done").click();
  });
  task("29 and deactivated", { taps: 5, letters: 8 }, async (hand) => {
    await open(hand, "/clinic/staff");
    const row = hand.page
      .getByTestId("colleagues")
      .getByRole("listitem")
      .filter({ hasText: `Ilse ${mine}` });
    await hand.tap(row.getByRole("button", { name: "Change" }));
    await hand.choose(row.getByLabel("What is changed"), "deactivate");
    await hand.write("Has left", row.getByLabel("Why"));
    await hand.tap(row.getByRole("button", { name: "Sign the change" }));
    await row.getByText("deactivated").waitFor();
  });
  task("30 whom to call", { taps: 2, letters: 12 }, async (hand) => {
    await open(hand, "/clinic");
    const soon = hand.page.getByLabel(/^Whom to call:/).last();
    await soon.fill("");
    await hand.write(`Ring 7${mine.slice(0, 2)}`, soon);
    await hand.tap(hand.button("Save"));
    await hand.page.getByText("Saved. It holds from now on.").waitFor();
  });
  task("30 the pain rule that patients begin with", { taps: 3 }, async (hand) => {
    await open(hand, "/clinic/settings");
    await hand.choose(hand.page.getByLabel("Pain rule"), how === "mouse" ? "pain-free" : "monitored");
    await hand.tap(hand.button("Save"));
    await hand.page.getByText("Saved. It holds from now on.").waitFor();
  });
  task("30 whose record is older than it is kept", { taps: 2, letters: 1 }, async (hand) => {
    await open(hand, "/clinic/settings");
    await hand.write("8", hand.page.getByLabel("Years kept after closing"));
    await hand.tap(hand.button("Whom that would be"));
    await hand.page.getByTestId("keeping").waitFor();
  });
  task("31 who looked at a record", { taps: 1 }, async (hand) => {
    await ofPatient(hand, "/person");
    await hand.tap(hand.page.getByRole("link", { name: "Who looked at it" }));
    await hand.page
      .getByRole("row", { name: /Jorun Vask/ })
      .first()
      .waitFor();
  });
  task("32 a person's data as a file", { taps: 1 }, async (hand) => {
    await ofPatient(hand, "/person");
    const file = hand.page.waitForEvent("download");
    await hand.tap(hand.page.getByRole("link", { name: "Everything as a file" }));
    await file;
  });
  task("32 and their erasure asked for", { taps: 4, letters: 20 }, async (hand) => {
    await ofPatient(hand, "/person");
    const box = hand.page.getByTestId("trust");
    await hand.tap(box.getByRole("button", { name: "Ask for erasure" }));
    await hand.write(`Lindes${mine}`, box.getByLabel("Family name"));
    await hand.write("She asks", box.getByLabel(/Who asked/));
    await hand.tap(box.getByRole("button", { name: "Sign: erase" }));
    await box.getByText(/^Asked for/).waitFor();
  });
  task("33 pounds, inches, month before day, dark", { taps: 7 }, async (hand) => {
    const lead = await signedIn(at.url, "lead");
    await lead.post("/api/account/preferences", { theme: "light", weight: null, length: null, dates: null });
    await open(hand, "/account");
    const { page } = hand;
    const kept = async (act: Promise<void>) => {
      const answer = page.waitForResponse("**/api/account/preferences");
      await act;
      await answer;
    };
    await kept(hand.choose(page.getByLabel("Weights"), "lb"));
    await kept(hand.choose(page.getByLabel("Lengths"), "in"));
    await kept(hand.choose(page.getByLabel("Dates"), "month-day"));
    await kept(hand.tap(page.getByRole("radio", { name: "dark" }).locator("xpath=..")));
    // The page takes it up once the answer is there.
    await page
      .locator("html[data-theme=quarry-night][data-weight=lb][data-length=in][data-dates=month-day]")
      .waitFor({ state: "attached" });
  });
});
