/** How long a reaction of the site lasts: hours, overnight, into the next day (common practice). */
export const irritabilities = ["low", "moderate", "high"] as const;
