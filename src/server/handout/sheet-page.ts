import { createRequire } from "node:module";
import PDFDocument from "pdfkit";

/** A line of a block, and how it stands: as text, in bold, as a heading, behind a dot. */
export type Line = readonly [words: string, style: "plain" | "bold" | "sub" | "dot"];

export const margin = 40;
export const black = "#000000";
const hair = "#777777";
/** Room for the line at the end of every page. */
const footHeight = 14;

const fontFile = (weight: 400 | 700) =>
  createRequire(import.meta.url).resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );

/** A tagged PDF whose pages fill from above: words, blocks of lines, and what is there for the eye alone. Lengths in points. */
export class SheetPage {
  protected readonly doc: PDFKit.PDFDocument;
  protected readonly root: PDFKit.PDFStructureElement;
  protected readonly right: number;
  protected readonly bottom: number;
  /** Where the next block begins. */
  protected y = margin;

  constructor(
    private readonly paper: "A4" | "LETTER",
    private readonly sizes: { readonly text: number; readonly sub: number },
    about: { readonly lang: string; readonly title: string; readonly author: string },
  ) {
    this.doc = new PDFDocument({
      size: paper,
      margin: 0,
      bufferPages: true,
      lang: about.lang,
      tagged: true,
      displayTitle: true,
      pdfVersion: "1.7",
      info: { Title: about.title, Author: about.author },
    });
    this.doc.registerFont("plain", fontFile(400)).registerFont("bold", fontFile(700));
    this.root = this.doc.struct("Document");
    this.doc.addStructure(this.root);
    this.right = this.doc.page.width - margin;
    this.bottom = this.doc.page.height - margin - footHeight;
  }

  /** The whole document, once everything stands on it. */
  protected finished(): Promise<Buffer> {
    const parts: Buffer[] = [];
    const done = new Promise<Buffer>((resolve, reject) => {
      this.doc.on("data", (part: Buffer) => parts.push(part));
      this.doc.on("end", () => resolve(Buffer.concat(parts)));
      this.doc.on("error", reject);
    });
    this.root.end();
    this.doc.end();
    return done;
  }

  /** Goes to the next page where a block of this height does not fit. */
  protected room(height: number): void {
    if (this.y + height <= this.bottom || this.y === margin) return;
    this.doc.addPage({ size: this.paper, margin: 0 });
    this.y = margin;
  }

  protected rule(from: number, to: number): void {
    this.artifact(() => this.doc.lineWidth(0.5).moveTo(from, this.y).lineTo(to, this.y).stroke(hair));
  }

  /** What is there for the eye alone. */
  protected artifact(draw: () => void): void {
    this.doc.markContent("Artifact");
    draw();
    this.doc.endMarkedContent();
  }

  private sizeOf = (style: Line[1]) => (style === "sub" ? this.sizes.sub : this.sizes.text);
  private fontOf = (style: Line[1]): "plain" | "bold" =>
    style === "plain" || style === "dot" ? "plain" : "bold";
  private indentOf = (style: Line[1]) => (style === "dot" ? this.sizes.text : 0);

  protected lines(
    lines: readonly Line[],
    x: number,
    y: number,
    width: number,
    heading: "H2" | "H3" = "H3",
  ): void {
    let at = y;
    for (const [text, style] of lines) {
      const indent = this.indentOf(style);
      const [font, size] = [this.fontOf(style), this.sizeOf(style)];
      if (style === "dot")
        this.artifact(() => this.doc.circle(x + indent / 2, at + size * 0.62, size * 0.13).fill(black));
      this.words(style === "sub" ? heading : "P", text, font, size, x + indent, at, width - indent);
      at += this.heightOf(text, font, size, width - indent) + 1.5;
    }
  }

  /** Lines down the page and on to the next, each whole. */
  protected flow(lines: readonly Line[], width: number, heading: "H2" | "H3"): void {
    for (const line of lines) {
      const height = this.heightOfLines([line], width);
      this.room(height);
      this.lines([line], margin, this.y, width, heading);
      this.y += height;
    }
  }

  protected heightOfLines = (lines: readonly Line[], width: number) =>
    lines.reduce(
      (sum, [text, style]) =>
        sum + this.heightOf(text, this.fontOf(style), this.sizeOf(style), width - this.indentOf(style)) + 1.5,
      0,
    );

  protected heightOf(text: string, font: "plain" | "bold", size: number, width: number): number {
    return this.doc.font(font).fontSize(size).heightOfString(text, { width });
  }

  protected words(
    kind: "H1" | "H2" | "H3" | "P",
    text: string,
    font: "plain" | "bold",
    size: number,
    x: number,
    y: number,
    width: number,
    align: "left" | "center" = "left",
  ): void {
    const write = () =>
      void this.doc.font(font).fontSize(size).fillColor(black).text(text, x, y, { width, align });
    this.root.add(this.doc.struct(kind, {}, write));
  }
}
