/** Centimetres in one inch, by definition (1959). */
export const cmOfInch = 2.54;

/**
 * A length in centimetres as inches, to a tenth.
 *
 * @param cm centimetres, 0 and above
 * @example inchesFromCm(20) // 7.9
 */
export const inchesFromCm = (cm: number): number => Math.round((cm / cmOfInch) * 10) / 10;
