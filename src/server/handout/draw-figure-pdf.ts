import { figureOf } from "~/catalogue/figures/all";
import type { PhoneItem } from "~/contract/phone";
import { drawFigure, figureExtent, type FigureLook } from "~/core/figure/draw-figure";
import { pathUnitsPerCm, type Extent } from "~/core/figure/outline";
import { bodyLengths } from "~/core/pose/body-lengths";
import { usualHeightM } from "~/core/pose/usual-height";
import { greyOf, inkOf } from "./figure-ink";

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface About {
  readonly item: Pick<PhoneItem, "exerciseId" | "drawnLike" | "lane" | "prescription">;
  /** Seen from the side that works. */
  readonly left: boolean;
  readonly heightM: number | null;
  readonly grey: boolean;
}

const edgePoints = 0.6;
const floorLook = "floor";

/**
 * Draws how a movement begins and ends, side by side and to one scale, into a box of a page (points).
 *
 * @returns whether there is a figure for it
 */
export function drawFigurePdf(
  doc: PDFKit.PDFDocument,
  box: Box,
  { item, left, heightM, grey }: About,
): boolean {
  const body = bodyLengths({ heightM: heightM ?? usualHeightM });
  const { exerciseId: id, drawnLike } = item;
  const figure = figureOf({ id, ...(drawnLike === null ? {} : { drawnLike }) }, item.prescription, body);
  if (!figure) return false;
  const look: FigureLook = { left, marked: item.lane === "upper-body" ? "arm" : "leg" };
  const measured = figureExtent(body, figure, look);
  if (!measured.ok) return false;
  const last = figure.keys.length - 1;
  const places = last === 0 ? [0] : [0, figure.timing.kind === "sequence" ? Math.min(2, last) : last];
  const width = box.width / places.length;
  places.forEach((place, n) => {
    const drawn = drawFigure(body, figure, place, look);
    if (!drawn.ok) return;
    const frame = { ...box, x: box.x + n * width, width };
    const { scale, x, y } = fitted(measured.extent, frame);
    doc.save().translate(x, y).scale(scale);
    const { left: from, right: to } = measured.extent;
    const floor = { look: floorLook, d: `M${from * pathUnitsPerCm} 0L${to * pathUnitsPerCm} 0` };
    for (const { look: of, d } of [floor, ...drawn.shapes]) ink(doc, of, d, scale, grey);
    doc.restore();
  });
  return true;
}

/** How an extent stands in a box: on its ground, in its middle. */
function fitted({ left, right, top, bottom }: Extent, box: Box) {
  const [wide, high] = [(right - left) * pathUnitsPerCm, (bottom - top) * pathUnitsPerCm];
  const scale = Math.min(box.width / wide, box.height / high);
  return {
    scale,
    x: box.x + (box.width - wide * scale) / 2 - left * pathUnitsPerCm * scale,
    y: box.y + box.height - bottom * pathUnitsPerCm * scale,
  };
}

function ink(doc: PDFKit.PDFDocument, look: string, d: string, scale: number, grey: boolean): void {
  const { fill, line, width = edgePoints } = inkOf(look);
  if (d === "" || (!fill && !line)) return;
  const shade = (colour: string) => (grey ? greyOf(colour) : colour);
  doc
    .path(d)
    .lineWidth(width / scale)
    .lineJoin("round")
    .lineCap("round");
  if (fill && line) doc.fillAndStroke(shade(fill), shade(line));
  else if (fill) doc.fill(shade(fill));
  else if (line) doc.stroke(shade(line));
}
