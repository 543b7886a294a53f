import { springs, type Demand } from "~/core/demand/demand";

/** Drawings of the variants of one movement differ by so much without asking more: degrees, and a share of body mass. */
const within = { deg: 15, share: 0.1 };
/** A leg that carries less than this bends without a load to speak of, as a share of body mass. */
const carries = 0.3;

/**
 * Whether one demand asks clearly more of the working leg than another in any part: standing, how far the knee bends under weight
 * and how much the leg carries; how it lands; whether it runs. What nobody could draw is not taken for more: its words have been judged already.
 * Source: common practice, that an ease stays in its movement; the tolerances a rule of this product.
 */
export function asksMore(one: Demand | null, than: Demand | null): boolean {
  if (!one || !than) return false;
  const [a, b] = [one.working, than.working];
  const stands = one.base !== "none";
  const bendsFurther = a.weightShare >= carries && a.kneeFlexionDeg[1] > b.kneeFlexionDeg[1] + within.deg;
  return (
    (stands && (bendsFurther || a.weightShare > b.weightShare + within.share)) ||
    springs.indexOf(one.spring) > springs.indexOf(than.spring) ||
    (one.running && !than.running)
  );
}
