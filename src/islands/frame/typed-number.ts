/**
 * A number as people type it, with a point or a comma.
 *
 * @returns null where nothing stands, NaN where it is no number
 */
export function typedNumber(text: string): number | null {
  const trimmed = text.trim();
  return trimmed === "" ? null : Number(trimmed.replace(",", "."));
}
