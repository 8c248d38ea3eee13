/**
 * Physical constants, SI. Latent heats: engineering values of IAPWS-06 / IAPWS-IF97 (fusion 333.4, sublimation 2834.4 kJ/kg at 0 °C), so
 * that vaporisation is their difference and the balance of water closes.
 */

/** 0 °C on the Kelvin scale, K. Exact by definition (ITS-90). */
export const ZERO_CELSIUS_K = 273.15;
/** Heat of fusion of ice, J/kg. */
export const FUSION = 334e3;
/** Heat of vaporisation of water at 0 °C, J/kg. */
export const VAPORISATION = 2501e3;
/** Heat capacity of ice, J/(kg·K). */
export const ICE_HEAT = 2100;
/** Heat capacity of air, J/(kg·K). */
export const AIR_HEAT = 1006;
/** Standard atmosphere, Pa. Exact by definition. */
export const PRESSURE = 101_325;
/** Gas constant of dry air, J/(kg·K). */
export const GAS_CONSTANT = 287.042;
/** Standard gravity, m/s². Exact by definition. */
export const GRAVITY = 9.80665;
/** Lewis number of moist air to the power 2/3 (common practice: 0.9). */
export const LEWIS = 0.9;
/** J of a kWh. Exact by definition. */
export const JOULES_PER_KWH = 3.6e6;
