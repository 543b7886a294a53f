import { extractText, getDocumentProxy, getMeta } from "unpdf";
import { describe, expect, it } from "vitest";
import type { HandoutView, SheetBody } from "~/contract/handout";
import { speaker } from "~/messages/speaker";
import { sayAmount } from "~/messages/say-handout";
import { someHandout } from "~tests/builders/handout-view";
import { handoutPdf, type SheetCode } from "./handout-pdf";

const plain: SheetBody = { language: "en", letters: "usual", ink: "colour", paper: "a4" };

/** Where the pieces of text stand: page, and height above its lower edge (points). */
async function placesOf(view: HandoutView, over: Partial<SheetBody> = {}) {
  const pdf = await getDocumentProxy(new Uint8Array(await handoutPdf(view, { ...plain, ...over }, null)));
  const pages = Array.from({ length: pdf.numPages }, (_, n) => n + 1);
  const texts = await Promise.all(
    pages.map(async (page) =>
      (await (await pdf.getPage(page)).getTextContent()).items.flatMap((piece) =>
        "str" in piece && piece.str.trim() !== ""
          ? [{ page, text: piece.str, y: Number(piece.transform[5]) }]
          : [],
      ),
    ),
  );
  return texts.flat();
}

/** The text of a sheet, page by page, read back by another library; line breaks are blanks. */
async function pagesOf(view: HandoutView, over: Partial<SheetBody> = {}, code: SheetCode | null = null) {
  const bytes = await handoutPdf(view, { ...plain, ...over }, code);
  const pdf = await getDocumentProxy(new Uint8Array(bytes));
  const { text } = await extractText(pdf);
  const meta = await getMeta(pdf);
  const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
  return {
    pages: text.map((page) => page.replaceAll(/\s+/gu, " ")),
    meta,
    size: [Math.round(width), Math.round(height)],
  };
}
const read = async (...input: Parameters<typeof pagesOf>) => (await pagesOf(...input)).pages.join(" ");

describe("the sheet as a PDF", () => {
  it("says the plan: every exercise with its number, how much, what to mind; the days; the rule; whom to call", async () => {
    const view = someHandout(6);
    const text = await read(view);
    expect(text).toContain("Exercises for Runa Testrup");
    expect(text).toContain("Somewhere Clinic, 9 March 2026");
    view.items.forEach((item, n) => {
      expect(text).toContain(`${n + 1}. ${item.name}`);
      expect(text).toContain(sayAmount(item));
      for (const cue of item.cues) expect(text).toContain(cue);
      for (const note of [item.safety, item.caution]) if (note) expect(text).toContain(note);
    });
    expect(text.split("Do not do this until your clinic says so.")).toHaveLength(2);
    expect(text).toContain("Mon 9 Mar Tue 10 Mar Wed 11 Mar 1, 2, 3, 4, 5, 6 rest 1, 2, 3, 4, 5, 6");
    expect(text).toContain("pain up to 2 of 10 is fine");
    expect(text).toContain("always something to hold");
    expect(text).toContain("knee bend stays within 90°, until Wed 1 Apr");
    for (const words of ["Stop and call", "Ring 112", "Ring 01 555 0100", "Ask at the desk"])
      expect(text).toContain(words);
    expect(text).not.toMatch(/undefined|NaN|\{/u);
  });

  it("in German, with the clinic's own words as they are", async () => {
    const { text: german } = speaker("de");
    const view = someHandout(6);
    const text = await read(view, { language: "de" });
    expect(text).toContain("Übungen für Runa Testrup");
    expect(text).toContain("9. März 2026");
    for (const item of view.items) {
      expect(text).toContain(german(item.name));
      expect(text).toContain(sayAmount(item, speaker("de")));
      for (const cue of item.cues) expect(text).toContain(german(cue));
    }
    expect(text).toContain("immer etwas zum Festhalten");
    expect(text).toContain("Schmerz bis 2 von 10");
    expect(text).toContain("Ring 01 555 0100");
    for (const english of ["Exercises", "sets", "first", "rest", "Stop and", "Pain"])
      expect(text).not.toContain(english);
    expect(text).not.toMatch(/undefined|NaN|\{/u);
  });

  it("on A4 or Letter, two pages at most of eight exercises, four in large print, each told by its number", async () => {
    const view = someHandout(8);
    const a4 = await pagesOf(view);
    expect(a4.size).toEqual([595, 842]);
    expect(a4.pages.length).toBeLessThanOrEqual(2);
    const letter = await pagesOf(view, { paper: "letter", letters: "large" });
    expect(letter.size).toEqual([612, 792]);
    expect(letter.pages.length).toBeLessThanOrEqual(5);
    letter.pages.forEach((page, n) => expect(page).toContain(`Page ${n + 1} of ${letter.pages.length}`));
  });

  it("knows its language, its title and its parts, for who has it read aloud", async () => {
    const bytes = await handoutPdf(someHandout(2), { ...plain, language: "de" }, null);
    const raw = bytes.toString("latin1");
    expect(raw).toContain("/Lang (de)");
    expect(raw).toMatch(/\/Marked true/u);
    for (const kind of ["/H1", "/H2", "/H3", "/Figure"]) expect(raw).toContain(`/S ${kind}`);
    const { meta } = await pagesOf(someHandout(2));
    expect(meta.info).toMatchObject({ Title: "Exercises for Runa Testrup" });
  });

  it("holds a code for the phone where one was made", async () => {
    const code = {
      opens: "http://x.example/my#abc",
      address: "http://x.example/my",
      code: "ABCD-EFGH",
      expiresAt: "2026-03-23T09:00:00Z",
    };
    const text = await read(someHandout(2), {}, code);
    expect(text).toContain("ABCD-EFGH");
    expect(text).toContain("23 Mar 2026, 10:00");
    expect(await read(someHandout(2))).not.toContain("On your phone");
  });

  it("writes on its pages and nothing over anything, whatever is long", async () => {
    const words = "as far as the wound, the knee and the person let it go on this day ".repeat(2).trim();
    const limits = Array.from({ length: 60 }, (_, n) => ({
      says: `Limit ${n}: ${words}`,
      from: null,
      until: null,
      origin: "surgeon" as const,
    }));
    const person = { givenName: "Maximiliana ".repeat(8), familyName: "Testrup", conditions: [] };
    for (const letters of ["usual", "large"] as const) {
      const places = await placesOf(someHandout(3, { limits, person }), { letters });
      expect(Math.min(...places.map(({ y }) => y))).toBeGreaterThan(25);
      const named = limits.map((_, n) => places.filter(({ text }) => text.startsWith(`Limit ${n}:`)));
      expect(named.map((found) => found.length)).toEqual(limits.map(() => 1));
      const title = places.filter(({ page, text }) => page === 1 && /Maximiliana|Testrup/u.test(text));
      const date = places.find(({ text }) => text.startsWith("Somewhere Clinic"));
      expect(title.length).toBeGreaterThan(1);
      expect(Math.min(...title.map(({ y }) => y))).toBeGreaterThan((date?.y ?? Infinity) + 8);
      // Line by line downward, none on another.
      const lines = named.flat().map(({ page, y }) => page * 10_000 - y);
      lines.slice(1).forEach((line, n) => expect(line - (lines[n] ?? 0)).toBeGreaterThan(9));
    }
  });

  it("parts a day with a training, and says where a day is done", async () => {
    const view = someHandout(3);
    const ids = view.items.map(({ itemId }) => itemId);
    const day = { date: "2026-03-10", items: ids, beforeTraining: ids.slice(0, 1), where: "clinic" as const };
    const text = await read({ ...view, days: [day] }, { language: "de" });
    expect(text).toContain("1 – Training – 2, 3 (in der Praxis)");
  });

  it("stands long words, many limits, no week and nothing prescribed", async () => {
    const long = "x".repeat(150);
    const limits = Array.from({ length: 30 }, (_, n) => ({
      says: `Limit ${n} ${long}`,
      from: null,
      until: null,
      origin: "surgeon" as const,
    }));
    const text = await read(
      someHandout(3, { limits, days: [], person: { givenName: long, familyName: "Ö", conditions: [] } }),
    );
    for (let n = 0; n < 30; n += 1) expect(text).toContain(`Limit ${n} `);
    expect(text).toContain("Any day; a day of rest between is fine.");
    expect(await read(someHandout(3, { items: [], days: [] }))).toContain("Stop and call");
  });
});
