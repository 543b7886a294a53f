import type { HandoutView, SheetBody } from "~/contract/handout";
import type { PhoneItem } from "~/contract/phone";
import { sayAmount, sayTimes } from "~/messages/say-handout";
import { sayPlannedDay } from "~/messages/say-planned-day";
import { speaker, type Speaker } from "~/messages/speaker";
import { codeSquares } from "./code-squares";
import { drawFigurePdf } from "./draw-figure-pdf";
import { sheetNames } from "~/messages/sheet-names";
import { black, margin, SheetPage, type Line } from "./sheet-page";

/** What opens the plan on a phone: what the camera reads, where the code is typed, until when. */
export interface SheetCode {
  readonly opens: string;
  readonly address: string;
  readonly code: string;
  readonly expiresAt: string;
}

const papers = { a4: "A4", letter: "LETTER" } as const;
const gap = 14;
const sizes = {
  usual: { text: 9.5, head: 17, sub: 11.5, columns: 2, figure: { width: 112, height: 84 } },
  large: { text: 15, head: 24, sub: 17, columns: 1, figure: { width: 190, height: 140 } },
} as const;
const quiet = "#333333";
const hair = "#777777";
const shownDays = 7;
const captionSize = 7.5;
const codeSize = 84;

/**
 * The sheet that a patient takes home as a PDF, on A4 or Letter, in usual or large letters, with or without colour, in one of the
 * languages. Tagged, so that a screen reader knows headings, figures and text.
 *
 * @param code what opens the plan on a phone, where somebody made it
 */
export function handoutPdf(view: HandoutView, asked: SheetBody, code: SheetCode | null): Promise<Buffer> {
  return new Sheet(view, asked, code).bytes();
}

class Sheet extends SheetPage {
  private readonly say: Speaker;
  private readonly size;

  constructor(
    private readonly view: HandoutView,
    private readonly asked: SheetBody,
    private readonly code: SheetCode | null,
  ) {
    const say = speaker(asked.language);
    const size = sizes[asked.letters];
    const title = say.t("handout.heading", { name: nameOf(view) });
    super(papers[asked.paper], size, { lang: asked.language, title, author: view.clinicName });
    this.say = say;
    this.size = size;
  }

  bytes(): Promise<Buffer> {
    this.head();
    this.items();
    this.week();
    this.boxes();
    this.feet();
    return this.finished();
  }

  private head(): void {
    const { clinicName: clinic, today } = this.view;
    const width = this.right - margin;
    const title = this.say.t("handout.heading", { name: nameOf(this.view) });
    this.words("H1", title, "bold", this.size.head, margin, this.y, width);
    this.y += this.heightOf(title, "bold", this.size.head, width);
    const date = this.say.t("handout.date", { clinic, date: this.say.longDate(today) });
    this.words("P", date, "plain", this.size.text, margin, this.y, width);
    this.y += this.heightOf(date, "plain", this.size.text, width) + gap / 2;
  }

  /** The exercises, row by row; a row that does not fit goes to the next page. */
  private items(): void {
    const { columns, figure } = this.size;
    const width = (this.right - margin - gap * (columns - 1)) / columns;
    const names = sheetNames(this.view.items, this.say);
    const textWidth = width - figure.width - 8;
    const told = this.view.items.map((item, n) => ({
      item,
      lines: this.linesOf(item, `${n + 1}. ${names[n] ?? ""}`),
    }));
    for (let from = 0; from < told.length; from += columns) {
      const row = told.slice(from, from + columns);
      const heights = row.map(({ lines }) => this.heightOfLines(lines, textWidth));
      const height = Math.max(figure.height, ...heights) + 6;
      this.room(height);
      row.forEach(({ item, lines }, column) => {
        const x = margin + column * (width + gap);
        this.rule(x, x + width);
        this.figure(item, { x, y: this.y + 5, ...figure }, lines[0]?.[0] ?? "");
        this.lines(lines, x + figure.width + 8, this.y + 4, textWidth, "H3");
      });
      this.y += height + 4;
    }
  }

  private linesOf(item: PhoneItem, name: string): Line[] {
    const { say } = this;
    return [
      [name, "sub"],
      ...(item.stopped ? ([[say.t("handout.stopped"), "bold"]] as const) : []),
      [sayAmount(item, say), "bold"],
      [sayTimes(item, say), "plain"],
      ...[item.safety, ...item.cues, item.caution]
        .filter((text) => text !== null)
        .map((text) => [say.text(text), "dot"] as const),
    ];
  }

  private figure(
    item: PhoneItem,
    box: { x: number; y: number; width: number; height: number },
    alt: string,
  ): void {
    const { heightM, involvedSide } = this.view;
    const left = (item.sides === "both-together" ? involvedSide : item.first) === "left";
    const about = { item, left, heightM, grey: this.asked.ink === "black" };
    const drawing = { ...box, height: box.height - captionSize * 1.6 };
    let drawn = false;
    const draw = () => {
      drawn = drawFigurePdf(this.doc, drawing, about);
    };
    this.root.add(this.doc.struct("Figure", { alt }, draw));
    if (!drawn) return;
    const says = this.say.t(left ? "figure.leftSide" : "figure.rightSide");
    this.words("P", says, "plain", captionSize, box.x, box.y + drawing.height + 2, box.width, "center");
  }

  private week(): void {
    const { days, items } = this.view;
    const { say, size } = this;
    const width = this.right - margin;
    this.room(size.sub * 2 + size.text * 4);
    this.lines([[say.t("handout.week"), "sub"]], margin, this.y, width, "H2");
    this.y += this.heightOf("X", "bold", size.sub, width);
    if (days.length === 0) {
      this.lines([[say.t("handout.noWeek"), "plain"]], margin, this.y, width);
      this.y += this.heightOf("X", "plain", size.text, width) + gap;
      return;
    }
    const shown = days.slice(0, shownDays);
    const cell = width / shown.length;
    const cells = shown.map((day) => [say.date(day.date), sayPlannedDay(items, day, say)]);
    const heights = [0, 1].map((row) =>
      Math.max(
        ...cells.map((of) => this.heightOf(of[row] ?? "", row ? "plain" : "bold", size.text, cell - 6)),
      ),
    );
    [0, 1].forEach((row) => {
      const height = (heights[row] ?? 0) + 6;
      cells.forEach((of, n) => {
        const x = margin + n * cell;
        this.artifact(() => this.doc.lineWidth(0.5).rect(x, this.y, cell, height).stroke(hair));
        this.words(
          "P",
          of[row] ?? "",
          row ? "plain" : "bold",
          size.text,
          x + 3,
          this.y + 3,
          cell - 6,
          "center",
        );
      });
      this.y += height;
    });
    this.y += gap;
  }

  /** What to mind beside when to stop; one after the other in large print, or where they are longer than a page. */
  private boxes(): void {
    const full = this.right - margin;
    const half = (full - gap) / 2;
    const [mind, stop] = [this.toMind(), this.toStop()];
    const height = Math.max(
      this.heightOfLines(mind, half) + gap + this.phoneHeight(half),
      this.heightOfLines(stop, half - 16) + 14,
    );
    if (this.size.columns === 2 && height <= this.bottom - margin) {
      this.room(height);
      this.lines(mind, margin, this.y, half, "H2");
      this.phone(this.y + this.heightOfLines(mind, half) + gap, half);
      this.framed(stop, margin + half + gap, half);
    } else {
      this.flow(mind, full, "H2");
      this.room(gap + this.phoneHeight(full));
      this.phone(this.y + gap, full);
      this.y += gap + this.phoneHeight(full);
      this.room(this.heightOfLines(stop, full - 16) + 14);
      this.framed(stop, margin, full);
    }
  }

  private toMind(): Line[] {
    const { say } = this;
    const { school, limits } = this.view;
    return [
      [say.t("handout.pain"), "sub"],
      [say.t(`phone.rule.${school}`), "plain"],
      ...(limits.length > 0 ? ([[say.t("handout.limits"), "sub"]] as const) : []),
      ...limits.map(({ says, until }) => {
        const ends = until ? `, ${say.t("handout.until", { date: say.date(until) })}` : "";
        return [`${say.text(says)}${ends}`, "dot"] as const;
      }),
    ];
  }

  private toStop(): Line[] {
    const { say } = this;
    const signs = say.t("handout.stopSigns").split("\n");
    return [
      [say.t("handout.stop"), "sub"],
      [say.t("handout.stopWhen"), "plain"],
      ...signs.map((sign) => [sign, "dot"] as const),
      ...(["emergency", "same-day", "review"] as const).flatMap((urgency): Line[] => [
        [say.t(`handout.${urgency}`), "bold"],
        [this.view.calls[urgency], "plain"],
      ]),
    ];
  }

  private framed(lines: readonly Line[], x: number, width: number): void {
    const height = this.heightOfLines(lines, width - 16) + 14;
    this.artifact(() => this.doc.lineWidth(2).rect(x, this.y, width, height).stroke(black));
    this.lines(lines, x + 8, this.y + 6, width - 16, "H2");
  }

  private onPhone(): Line[] {
    const { say, code } = this;
    if (!code) return [];
    const until = say.time(code.expiresAt, this.view.zone);
    return [
      [say.t("handout.phone"), "sub"],
      [say.t("handout.phoneSays", { address: code.address, code: code.code, until }), "plain"],
    ];
  }

  private phoneHeight = (width: number) =>
    this.code ? Math.max(codeSize, this.heightOfLines(this.onPhone(), width - codeSize - 8)) : 0;

  private phone(y: number, width: number): void {
    if (!this.code) return;
    this.square(this.code.opens, margin, y);
    this.lines(this.onPhone(), margin + codeSize + 8, y, width - codeSize - 8, "H2");
  }

  /** A code for a camera. */
  private square(text: string, x: number, y: number): void {
    const draw = () => {
      for (const square of codeSquares(text, codeSize))
        this.doc.rect(x + square.x, y + square.y, square.side, square.side);
      this.doc.fill(black);
    };
    this.root.add(this.doc.struct("Figure", { alt: this.say.t("handout.phone") }, draw));
  }

  /** What stands at the end of every page. */
  private feet(): void {
    const { count } = this.doc.bufferedPageRange();
    for (let page = 0; page < count; page += 1) {
      this.doc.switchToPage(page);
      const pages = this.say.t("handout.page", { page: page + 1, pages: count });
      this.artifact(() => {
        this.doc.font("plain").fontSize(8).fillColor(quiet);
        const y = this.doc.page.height - margin - 4;
        this.doc.text(this.say.t("handout.foot"), margin, y, { lineBreak: false });
        this.doc.text(pages, margin, y, { width: this.right - margin, align: "right", lineBreak: false });
      });
    }
  }
}

const nameOf = ({ person }: HandoutView) => `${person.givenName} ${person.familyName}`;
