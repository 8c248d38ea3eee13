import * as S from './boxState.ts';

/** Where numbers stand in the state that machines share. */
export const stateAt = {
  AIR: S.AIR,
  WALL: S.WALL,
  PRODUCT_FAST: S.PRODUCT_FAST,
  PRODUCT_SLOW: S.PRODUCT_SLOW,
  PROBE: S.PROBE,
  COIL_PROBE: S.COIL_PROBE,
  ZONE_ONE: S.ZONE_ONE,
} as const;
/** And in what flows over the boundary. */
export const flowAt = {
  HEAT: S.HEAT,
  COMPRESSOR_JOULES: S.COMPRESSOR_JOULES,
  OTHER_JOULES: S.OTHER_JOULES,
} as const;
