/**
 * Φ: the probability that a standard normal variable is at most x.
 * Near the middle by the series φ(x)·Σ x^(2n+1)/(1·3·5···(2n+1)) (Marsaglia 2004); in the tails by Laplace's
 * continued fraction, where the series would cancel.
 *
 * @returns 0…1, right to about 14 digits
 * @example normalCdf(1.6448536269514722) // 0.95
 * Source: Marsaglia 2004, Evaluating the normal distribution; Abramowitz & Stegun 26.2.14.
 */
export function normalCdf(x: number): number {
  if (Number.isNaN(x)) return NaN;
  if (x < -tailFrom) return upperTail(-x);
  if (x > tailFrom) return 1 - upperTail(x);
  let term = x;
  let sum = x;
  for (let n = 3; sum + term !== sum; n += 2) {
    term *= (x * x) / n;
    sum += term;
  }
  return 0.5 + sum * density(x);
}

const tailFrom = 4;
const fractionDepth = 120;

function density(x: number): number {
  return Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
}

/** φ(x)/(x + 1/(x + 2/(x + 3/(x + …)))) */
function upperTail(x: number): number {
  let below = x;
  for (let n = fractionDepth; n > 0; n -= 1) below = x + n / below;
  return density(x) / below;
}
