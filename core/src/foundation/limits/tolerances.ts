/** Values typed in °F meet a limit within this, K: what is left of (x − 32)·5/9 and back. Ours. */
export const EPSILON = 1e-6;
/** Two numbers that a person typed alike are the same within this, in their own unit: rounding of binary fractions. Ours. */
export const SAME_NUMBER = 1e-9;
