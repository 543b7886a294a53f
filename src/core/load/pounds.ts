/** Kilograms in one pound: the international avoirdupois pound, by definition (1959). */
export const kgOfPound = 0.45359237;

/**
 * A weight in pounds as kilograms, to ten grams: what is prescribed and kept is in kilograms.
 *
 * @param lb pounds, 0 and above
 * @example kgFromPounds(45) // 20.41
 */
export const kgFromPounds = (lb: number): number => Math.round(lb * kgOfPound * 100) / 100;

/**
 * A weight in kilograms as pounds, to a tenth.
 *
 * @param kg kilograms, 0 and above
 * @example poundsFromKg(20.41) // 45
 */
export const poundsFromKg = (kg: number): number => Math.round((kg / kgOfPound) * 10) / 10;
