/** Height a body is drawn with while nobody measured it, metres. */
export const usualHeightM = 1.7;
