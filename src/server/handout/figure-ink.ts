/** How a shape of a figure is put on paper: what fills it, what draws its edge, and how thick (points). */
export interface Ink {
  readonly fill?: string;
  readonly line?: string;
  readonly width?: number;
}

const skin = "#d8b69a";
const skinFar = "#b69880";
const shirt = "#5c97a5";
const shirtFar = "#457b88";
const shorts = "#3a4f65";
const shortsFar = "#2a3c4f";
const hair = "#573b28";
const shoe = "#2c3947";
const edge = "#222f3c";
const kit = "#dad0bb";
const kitDim = "#bbb098";
const line = "#655d4a";
const mark = "#a63c0c";

/** The looks of the figures' shapes; the same colours as on the screen by day. */
export const inks: Readonly<Record<string, Ink>> = {
  "skin-w": { fill: skin, line: edge },
  "skin-o": { fill: skinFar, line: edge },
  "shirt-w": { fill: shirt, line: edge },
  "shirt-o": { fill: shirtFar, line: edge },
  "shorts-w": { fill: shorts, line: edge },
  "shorts-o": { fill: shortsFar, line: edge },
  "shoe-w": { fill: shoe, line: edge },
  "shoe-o": { fill: shoe, line: edge },
  hair: { fill: hair, line: edge },
  eye: { fill: edge },
  involved: { fill: mark },
  lit: { fill: kit, line },
  dim: { fill: kitDim, line },
  ball: { fill: kit, line },
  cone: { fill: kit, line },
  bubble: { fill: kit, line },
  wall: { line, width: 1.2 },
  wheel: { line, width: 1.5 },
  plates: { line, width: 1.5 },
  weight: { fill: line, line: edge },
  "line-band": { line: mark, width: 1.5 },
  "ring-band": { line: mark, width: 1.8 },
  "loop-band": { line: mark, width: 1.8 },
  "line-strap": { line, width: 1.8 },
  "line-helper": { line, width: 1.8 },
  "line-stick": { line, width: 1.8 },
  "line-frame": { line, width: 2.4 },
  "ring-cuff": { fill: line, line: edge },
  "ring-towel": { fill: kit, line: edge },
  slider: { fill: mark },
  tufts: { line },
  arrow: { line: mark, width: 1.2 },
  press: { line: mark, width: 1.2 },
  floor: { line, width: 1.2 },
  shine: {},
};

/**
 * The ink of a look, which may have several names: the edge alone where none of them says anything.
 *
 * @example inkOf("step lit") // { fill: "#dad0bb", line: "#655d4a" }
 */
export function inkOf(look: string): Ink {
  const known = look.split(" ").flatMap((name) => inks[name] ?? []);
  return known.length === 0 ? { line: edge } : Object.assign({}, ...known);
}

/**
 * A colour as a grey of the same lightness (ITU-R BT.709), for paper in black and white.
 *
 * @param colour `#rrggbb`
 * @example greyOf("#ffffff") // "#ffffff"
 */
export function greyOf(colour: string): string {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
  const light = Math.round(0.2126 * red + 0.7152 * green + 0.0722 * blue);
  return `#${light.toString(16).padStart(2, "0").repeat(3)}`;
}
