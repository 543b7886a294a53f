import { expect } from "vitest";
import type { CaseloadRow } from "~/contract/clinic";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, visit } from "~tests/harness/browser";
import type { Hand } from "~tests/harness/hand";
import { byEachHand } from "~tests/harness/hands";
import { demoPassword } from "~demo/clinic";

/** The tasks about patients that must end well, with what each costs; those of the other stories are not repeated. */
const at = atBrowser({ signedIn: false });

byEachHand(at, "clinician", (desk) => {
  const { how, task } = desk;
  const mouse = how === "mouse";
  let id = "";
  const open = async (hand: Hand, view = "") => {
    await visit(hand.page, `/episodes/${id}${view}`);
    hand.rest();
  };

  task("1 sign in", { taps: 3, letters: 46 }, async (hand) => {
    const { page } = hand;
    await page.context().clearCookies();
    await visit(page, "/sign-in");
    hand.rest();
    await hand.write("clinician@tarnstreet.example", page.getByLabel("E-mail address"));
    await hand.write(demoPassword, page.getByLabel("Password"));
    await hand.tap(hand.button("Sign in"));
    await page.waitForURL(`${at.url}/`);
  });
  task("1 sign in again in mid-form", { taps: 2, letters: 18 }, async (hand) => {
    const { page } = hand;
    await visit(page, "/intake");
    await page.getByLabel("Given name").fill("Ottoline");
    await page.context().clearCookies();
    await page.getByLabel("Family name").fill("Vinterberg");
    const dialog = page.getByRole("dialog", { name: "Sign in again" });
    await dialog.waitFor();
    hand.rest();
    await hand.write(demoPassword, dialog.getByLabel("Password"));
    await hand.tap(dialog.getByRole("button", { name: "Sign in" }));
    await page.getByText(/^Kept (?!as)/).waitFor();
    expect(await page.getByLabel("Given name").inputValue()).toBe("Ottoline");
  });
  task("2 who needs me, and why", { taps: 0 }, async (hand) => {
    await visit(hand.page, "/");
    hand.rest();
    const rows = await hand.page.getByTestId("caseload").getByRole("link").all();
    const boxes = await Promise.all(rows.map((row) => row.boundingBox()));
    const high = mouse ? 800 : 844;
    const seen = boxes.filter((box) => box && box.y + box.height <= high).length;
    expect(seen).toBeGreaterThanOrEqual(mouse ? 9 : 3);
  });
  task("4 open the first, sign its step", { taps: 3 }, async (hand) => {
    const { page } = hand;
    await visit(page, "/");
    hand.rest();
    await hand.tap(page.getByRole("button", { name: /^Step up/ }));
    await hand.tap(page.getByTestId("caseload").getByRole("link").first());
    await page.waitForURL(/\/episodes\/[0-9a-f-]{36}$/);
    await awake(page);
    await hand.tap(hand.button("Sign").first());
    await page.getByTestId("last-decision").first().waitFor();
  });
  task("4 sign all of somebody, each with what changes", { taps: 1 }, async (hand) => {
    const { rows } = (await desk.client.get("/api/caseload")).body as { rows: CaseloadRow[] };
    const waiting = rows.filter(({ alsoWaiting }) => alsoWaiting > 0);
    for (const { episodeId } of waiting) {
      await visit(hand.page, `/episodes/${episodeId}`);
      if ((await hand.button(/^Sign all/).count()) > 0) break;
    }
    hand.rest();
    // Each says what would change before all of it is signed.
    expect(await hand.page.getByTestId("items").getByTestId("outcome").count()).toBeGreaterThan(1);
    await hand.tap(hand.button(/^Sign all/));
    await hand.page.getByText(/^\d+ proposals? signed\.$/).waitFor();
  });
  task(
    "6 three exercises by quick line, a fault and the pain before too",
    { taps: 2, letters: 80 },
    async (hand) => {
      id = await desk.somebody(mouse ? "Kvernhall" : "Kvernmo", [
        "side-step-up-free",
        "bridge-two-legs",
        "clam-60",
      ]);
      await open(hand, "/session");
      const line = hand.page.getByLabel("Quick line");
      const box = hand.page.getByTestId("quick-line");
      await hand.tap(line);
      for (const words of ["b1; 1: 2x8 p1 e6 f knee-in 3", "2: 2x10 p0 e6", "3: 2x12 p1 e7"]) {
        await hand.write(words);
        await box.getByText("Reads as").waitFor();
        await hand.press("Enter");
        await box.getByText(/noted\./).waitFor();
      }
      await hand.tap(hand.button("Record the session"));
      await hand.page.getByTestId("session-summary").waitFor();
    },
  );
  task("7 void a session", { taps: 3, letters: 11 }, async (hand) => {
    await open(hand, "/record");
    const entry = hand.page.getByTestId("record").locator("[data-kind=session]").first();
    await hand.tap(entry.getByRole("button", { name: "Void" }));
    await hand.write("Not of hers", entry.getByRole("textbox"));
    await hand.tap(entry.getByRole("button", { name: "Sign: void" }));
    await entry.getByText(/^Voided/).waitFor();
  });
  task("10 past a closed gate, with a reason", { taps: 3, letters: 26 }, async (hand) => {
    await open(hand, "/gate");
    await hand.tap(hand.button("Go on although it is closed"));
    await hand.write("Course begins, agreed so 2", hand.page.getByRole("textbox", { name: /Reason/ }));
    await hand.tap(hand.button("Sign past the closed gate"));
    await hand.page
      .getByTestId("moves")
      .getByText(/^Past a closed gate/)
      .waitFor();
  });
  task("15 an operation that comes after the intake", { taps: 6, letters: 30 }, async (hand) => {
    await open(hand, "/history");
    await hand.tap(hand.button("Add an event"));
    const form = hand.page.getByTestId("event-form");
    await hand.fill(form.getByLabel("On", { exact: true }), "2026-03-06");
    await hand.tap(form.getByLabel("Meniscus repair", { exact: true }));
    await hand.write("Letter of the 6th", form.getByLabel("From which letter or whose word"));
    await hand.tap(form.getByRole("button", { name: "Sign the event" }));
    await hand.page.getByTestId("events").getByText("Meniscus repair").first().waitFor();
  });
  task("15 a new limit from the surgeon", { taps: 6, letters: 20 }, async (hand) => {
    await open(hand, "/plan");
    const box = hand.page.getByTestId("circumstances");
    await hand.tap(box.getByText("Days, minutes, kit or limits have changed"));
    await hand.tap(box.getByRole("button", { name: "Add a limit" }));
    await box.getByLabel("To °").fill("");
    await hand.write("60", box.getByLabel("To °"));
    await hand.fill(box.getByLabel("Until"), "2026-04-30");
    await hand.write("New sheet", box.getByLabel("Reason"));
    await hand.tap(box.getByRole("button", { name: "Sign and look at the plan again" }));
    await hand.page
      .getByText(/knee bend to 60°/)
      .first()
      .waitFor();
  });
  task("16 the plan in another order, one optional", { taps: 5 }, async (hand) => {
    await open(hand, "/plan");
    await hand.tap(hand.button("Order, roles, circuits"));
    const form = hand.page.getByTestId("arrange");
    await hand.tap(form.getByRole("button", { name: /^Down: / }).first());
    await hand.choose(form.getByLabel(/^Role: /).first(), "optional");
    await hand.tap(form.getByRole("button", { name: "Sign this order" }));
    await form.waitFor({ state: "detached" });
    expect(await hand.page.getByTestId("plan-items").innerText()).toContain("optional");
  });
  task("17 any dose by hand", { taps: 5, letters: 3 }, async (hand) => {
    id = await desk.somebody(mouse ? "Rosenhall" : "Rosenmo", ["bridge-two-legs"]);
    await open(hand);
    const bridge = hand.page.getByTestId(/^item-/).first();
    await hand.tap(bridge.getByRole("button").first());
    await hand.tap(bridge.getByRole("button", { name: "Set dose by hand" }));
    const form = hand.page.getByTestId("prescribe");
    const rest = form.getByLabel("Rest (s)");
    await rest.fill("");
    await hand.write("95", rest);
    await hand.tap(form.getByRole("button", { name: /^Sign/ }));
    await form.waitFor({ state: "detached" });
  });
  task("27 another problem of the same person", { taps: 11, letters: 40 }, async (hand) => {
    await open(hand, "/person");
    const { page } = hand;
    await hand.tap(page.getByRole("link", { name: /Another problem/ }));
    await page.waitForURL("**/intake?beside=*");
    await awake(page);
    await hand.tap(hand.button("None of these"));
    await hand.tap(page.getByLabel("Agrees that this is kept"));
    await hand.choose(page.locator("select[name=pathway]"), "ankle-and-calf");
    await hand.choose(page.locator("select[name=involvedSide]"), "right");
    await hand.write("Ankle turned", page.getByLabel("What happened, as referred"));
    await hand.fill(page.getByLabel("Since"), "2026-02-20");
    const sign = hand.button("Sign stage and plan");
    await sign.and(page.locator(":enabled")).waitFor();
    await hand.tap(sign);
    await page.waitForURL(/\/episodes\/[0-9a-f-]{36}$/);
    await awake(page);
  });
  task("23 the visit note, signed", { taps: 1 }, async (hand) => {
    await open(hand, "/document?kind=visit-note");
    await hand.tap(hand.button("Sign and keep"));
    await hand.page.getByText("Signed and kept in the record.").waitFor();
  });
  task("24 a letter with its addressee, signed", { taps: 2, letters: 10 }, async (hand) => {
    await open(hand, "/document?kind=handover-letter");
    const letter = hand.page.locator("textarea");
    await letter.evaluate((own: HTMLTextAreaElement) => {
      const after = own.value.indexOf("To: ") + 4;
      own.setSelectionRange(after, after);
    });
    await letter.focus();
    hand.taps += 1;
    await hand.write("Dr Ashgrov");
    await hand.tap(hand.button("Sign and keep"));
    await hand.page.getByText("Signed and kept in the record.").waitFor();
  });
  task("7 void a note", { taps: 3, letters: 11 }, async (hand) => {
    await open(hand, "/record");
    const entry = hand.page.getByTestId("record").locator("[data-kind=document]").first();
    await hand.tap(entry.getByRole("button", { name: "Void" }));
    await hand.write("Not of hers", entry.getByRole("textbox"));
    await hand.tap(entry.getByRole("button", { name: "Sign: void" }));
    await entry.getByText(/^Voided/).waitFor();
  });
  task("26 a name put right", { taps: 3, letters: 20 }, async (hand) => {
    await open(hand, "/person");
    const form = hand.page.getByTestId("identity");
    await form.getByLabel("Family name").fill("");
    await hand.write("Rosengard", form.getByLabel("Family name"));
    await hand.write("As in pass", form.getByLabel("Why it is changed"));
    await hand.tap(form.getByRole("button", { name: "Sign the change" }));
    await hand.page.getByRole("heading", { level: 1, name: /Rosengard/ }).waitFor();
  });
  task("27 pause, and take up again", { taps: 6, letters: 22 }, async (hand) => {
    await open(hand, "/person");
    const box = hand.page.getByTestId("standing");
    await hand.tap(box.getByRole("button", { name: "Pause" }));
    await hand.write("On a ship", box.getByRole("textbox").last());
    await hand.tap(box.getByRole("button", { name: "Sign the pause" }));
    await box.getByText("This episode: paused").waitFor();
    await hand.tap(box.getByRole("button", { name: "Take up again" }));
    await hand.write("Is back", box.getByRole("textbox").last());
    await hand.tap(box.getByRole("button", { name: "Sign: take up again" }));
    await box.getByText("This episode: goes on").waitFor();
  });
  task("27 discharge, and open again", { taps: 6, letters: 22 }, async (hand) => {
    await open(hand, "/person");
    const box = hand.page.getByTestId("standing");
    await hand.tap(box.getByRole("button", { name: "Discharge" }));
    await hand.write("Goals met", box.getByLabel("Reason for the discharge"));
    await hand.tap(box.getByRole("button", { name: "Sign the discharge" }));
    await box.getByText("This episode: closed").waitFor();
    await hand.tap(box.getByRole("button", { name: "Open again" }));
    await hand.write("Aches again", box.getByLabel("Why it is opened again"));
    await hand.tap(box.getByRole("button", { name: "Sign: open again" }));
    await box.getByText("This episode: goes on").waitFor();
  });
});
