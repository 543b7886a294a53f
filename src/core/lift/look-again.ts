/** After two to three weeks one looks again; days from today (common practice). */
export const lookAgainDays = { usual: 21, least: 7, most: 42 } as const;
