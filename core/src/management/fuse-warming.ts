/**
 * How warm a fuse is, as a share of what makes it operate; indicative only. θ' = ((I ÷ In)² − θ) ÷ τ, operating at θ = 1.25².
 * τ is calibrated so that 1.6 In from cold operates at the conventional time: 1 h up to 63 A, 2 h above.
 */
export const OPERATES_AT = 1.25 * 1.25;

/** τ in minutes for a rating in amperes: T ÷ ln(1.6² ÷ (1.6² − 1.25²)), 63.7 and 127.3 min. Source: guide section 11. */
export function timeConstant(ratingA: number): number {
  return ratingA <= 63 ? 63.7 : 127.3;
}

/** The next warmth after so many minutes at a current; exact for a constant current, whatever the step. */
export function warmed(theta: number, currentA: number, ratingA: number, minutes: number): number {
  const end = (currentA / ratingA) ** 2;
  return end + (theta - end) * Math.exp(-minutes / timeConstant(ratingA));
}
