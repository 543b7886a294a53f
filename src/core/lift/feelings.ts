/** How a lift felt, in the words of people whose planned load stalls (common practice). */
export const liftFeelings = ["quick", "usual", "heavy", "legs-absent", "back-stiff"] as const;
