import { daysBetween } from "./local-day";

const daysInYear = 365.2425;

/**
 * Whole years of age on a day; 0 before birth.
 *
 * @param bornOn local date (YYYY-MM-DD)
 * @param today local date (YYYY-MM-DD)
 * @example ageYears("1985-04-02", "2026-03-10") // 40
 */
export function ageYears(bornOn: string, today: string): number {
  return Math.max(0, Math.floor(daysBetween(bornOn, today) / daysInYear));
}
