import { saveFile } from "~/islands/frame/save-file";
import { csvFormat } from "d3";
import type { TrendView } from "~/contract/measures";

const kept = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "opacity",
  "font-size",
  "font-weight",
  "font-family",
  "text-anchor",
];
const pngScale = 2;

/** Saves the chart as it stands on the page, its colours written into it. */
export function saveSvg(svg: SVGSVGElement | null, name: string): void {
  if (svg) saveFile(new Blob([standalone(svg)], { type: "image/svg+xml" }), `${name}.svg`);
}

/** The same as a picture, twice as fine. */
export function savePng(svg: SVGSVGElement | null, name: string): void {
  if (!svg) return;
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.onload = () => {
    const canvas = document.createElement("canvas");
    canvas.width = width * pngScale;
    canvas.height = height * pngScale;
    canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
    canvas.toBlob((blob) => blob && saveFile(blob, `${name}.png`), "image/png");
  };
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standalone(svg))}`;
}

/** Every point as a line: values in the unit of the heading. */
export function saveCsv({ points, measure }: TrendView, name: string): void {
  const rows = points.map(({ takenOn, side, value, error95, trials, way }) => ({
    date: takenOn,
    side,
    [`value (${measure.unit})`]: value,
    "error 95 %": error95 ?? "",
    trials,
    way: way ?? "",
  }));
  saveFile(new Blob([csvFormat(rows)], { type: "text/csv" }), `${name}.csv`);
}

function standalone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  const [own, copied] = [svg.querySelectorAll("*"), copy.querySelectorAll("*")];
  own.forEach((element, n) => {
    const style = getComputedStyle(element);
    for (const property of kept) copied[n]?.setAttribute(property, style.getPropertyValue(property));
    copied[n]?.removeAttribute("class");
  });
  const background = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  background.setAttribute("width", "100%");
  background.setAttribute("height", "100%");
  background.setAttribute(
    "fill",
    getComputedStyle(document.documentElement).getPropertyValue("--color-base-100"),
  );
  copy.prepend(background);
  return new XMLSerializer().serializeToString(copy);
}
