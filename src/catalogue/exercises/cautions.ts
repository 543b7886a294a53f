/** Cautions that stand at more than one exercise (common practice). */
export const noMaximalSqueeze =
  "No maximal squeeze while the injury is fresh: pain inhibits it and the figure means nothing.";
export const noHotCalf = "A calf that is hot, swollen or tender is not pressed: call first.";
