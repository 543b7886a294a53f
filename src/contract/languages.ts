/** Languages of the sheet that a patient takes home; adding one is adding its files and a line to `speaker`. */
export const languages = ["en", "de"] as const;
export type Language = (typeof languages)[number];
