/** From what on something is called, in every judgement of a run. */

/** Most starts an hour of a hermetic compressor (common practice: 6 to 10). */
export const MOST_STARTS = 8;
/** Ice and water below these are what any step leaves behind, kg. */
export const ICE_NOTICED = 0.05;
export const WATER_NOTICED = 0.05;
/** An estimate does not know the goods' temperature closer than this, K. */
export const GOODS_NEAR = 0.5;
