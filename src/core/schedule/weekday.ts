/** Monday 1 to Sunday 7 of a local date. @example weekdayOf("2026-03-09") // 1 */
export const weekdayOf = (date: string): number => new Date(`${date}T12:00:00Z`).getUTCDay() || 7;
