/** Where on the sheet a code for the phone is shown, once somebody has made one. */
export const codePlace = "handout-code-place";
