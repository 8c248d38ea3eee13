/** From what on something is called, wherever a run, a log or a plan is judged. */

/** Most starts an hour of a hermetic compressor (common practice: 6 to 10). */
export const MAX_STARTS_PER_HOUR = 8;
/** Ice that a defrost leaves, and water that a drain leaves, are called from this share of what fills the coil on, and never below so many kg. Ours. */
export const ICE_NOTICED_SHARE = 0.03;
export const WATER_NOTICED_SHARE = 0.02;
export const LEAST_NOTICED_KG = 0.02;
/** An estimate does not know the product's temperature closer than this, K: a limit counts as passed beyond it. Ours. */
export const PRODUCT_TOLERANCE_K = 0.5;
/** A compressor that runs more of the time has nothing left for a warmer day, %. Common practice. */
export const MAX_DUTY_PERCENT = 95;
