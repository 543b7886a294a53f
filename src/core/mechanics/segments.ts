/**
 * Segment lengths as shares of height, masses as shares of body mass, and centres of mass from the proximal joint as
 * shares of the segment.
 *
 * Source: Winter 2009, after Dempster and Drillis & Contini, recalled. One table for figures and loads.
 */
export const winter = {
  length: {
    foot: 0.152,
    ankleHeight: 0.039,
    shank: 0.246,
    thigh: 0.245,
    trunk: 0.288,
    upperArm: 0.186,
    forearm: 0.146,
    hand: 0.108,
    headAndNeck: 0.182,
  },
  mass: {
    foot: 0.0145,
    shank: 0.0465,
    thigh: 0.1,
    upperArm: 0.028,
    forearmAndHand: 0.022,
    head: 0.081,
    trunk: 0.497,
  },
  centre: {
    foot: 0.5,
    shank: 0.433,
    thigh: 0.433,
    upperArm: 0.436,
    forearmAndHand: 0.682,
    /** From the hip; pelvis, belly and chest together. */
    trunk: 0.5,
    /** From the shoulder line towards the top of the head; recalled, drawing and balance only. */
    head: 0.55,
  },
} as const;

/**
 * The same from another set of people, for checking the first: men, shares of height and mass.
 *
 * Source: de Leva 1996, after Zatsiorsky, recalled; its segments end at joint centres as Winter's do, but its trunk is
 * split otherwise, so only the limbs compare. Its foot runs heel to toe.
 */
export const deLeva = {
  length: { foot: 0.148, shank: 0.249, thigh: 0.242, upperArm: 0.162, forearm: 0.155 },
  mass: {
    foot: 0.0137,
    shank: 0.0433,
    thigh: 0.1416,
    upperArm: 0.0271,
    forearmAndHand: 0.0223,
    head: 0.0694,
  },
} as const;

/**
 * Offsets of joint centres from the middle of the body and where the back bends, shares of height. The table above does
 * not give them: hip centres are about a tenth of the height apart, shoulder centres lie inside the shoulder breadth
 * of 0.259. Values from memory, for drawing and for balance sideways; no load is computed from them.
 */
export const breadth = {
  hipCentre: 0.052,
  shoulderCentre: 0.1,
  /** From the hip line up to the joint at which the drawn back bends. */
  lumbar: 0.09,
  /** The ball of the foot, as a share of the foot's length from the heel. */
  ballOfFoot: 0.7,
  /** The ankle, as a share of the foot's length from the heel (handbook of loads: about a quarter). */
  ankleOfFoot: 0.25,
  /** The middle of the grip beyond the wrist. */
  grip: 0.05,
} as const;
