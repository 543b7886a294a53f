/** Radians in a degree. */
export const radians = Math.PI / 180;
