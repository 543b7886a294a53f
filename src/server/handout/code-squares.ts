import QRCode from "qrcode";

/** The light edge that a camera needs around a code, in modules. */
const quietModules = 2;

/**
 * The dark squares of a QR code, within a square of a size, its light edge included.
 *
 * @param size of the whole, in any unit; x and y begin at its upper left
 */
export function codeSquares(text: string, size: number): { x: number; y: number; side: number }[] {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
  const side = size / (modules.size + 2 * quietModules);
  return Array.from(
    { length: modules.size ** 2 },
    (_, n) => [Math.floor(n / modules.size), n % modules.size] as const,
  )
    .filter(([row, column]) => modules.get(row, column))
    .map(([row, column]) => ({ x: (column + quietModules) * side, y: (row + quietModules) * side, side }));
}
