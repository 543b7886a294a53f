/** Least letters of a written reason; the endpoint asks the same. */
const leastLetters = 3;
export const mostLetters = 400;

export const isReason = (text: string): boolean => text.trim().length >= leastLetters;

/** Rules every written reason follows, for a form of several fields. */
export const reasonRules = { required: true, maxLength: mostLetters, validate: isReason };
