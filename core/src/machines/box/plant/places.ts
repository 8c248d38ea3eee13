/** Where each number of a state stands in its array: temperatures °C, humidity kg/kg, frost and water kg, share of capacity 0 to 1. A tank keeps its water in the same places. */
export const AIR = 0;
export const RATIO = 1;
export const WALL = 2;
export const PRODUCT_FAST = 3;
export const PRODUCT_SLOW = 4;
export const UP = 5;
export const PROBE = 6;
export const COIL_PROBE = 7;
/** A zone has three in a row: the metal's temperature, frost, held water. */
export const ZONE_ONE = 8;
export const ZONE_TWO = 11;
export const STATE_LENGTH = 14;

/** Where each sum of what flows over the boundary stands. */
export const FLOW_HEAT = 0;
export const FLOW_WATER = 1;
export const COMPRESSOR_JOULES = 2;
export const OTHER_JOULES = 3;
export const FLOW_DRAINED = 4;
export const FLOWS_LENGTH = 5;
