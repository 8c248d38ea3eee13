/**
 * Constants of water, ice and air. Latent heats: engineering values of IAPWS-06 / IAPWS-IF97 (fusion 333.4, sublimation 2834.4 kJ/kg at 0 °C), so
 * that vaporisation is their difference and the balance of water closes.
 */
export const FUSION = 334e3;
export const VAPORISATION = 2501e3;
/** J/(kg·K). */
export const ICE_HEAT = 2100;
export const AIR_HEAT = 1006;
/** Pa. */
export const PRESSURE = 101325;
/** J/(kg·K), dry air. */
export const GAS_CONSTANT = 287.042;
/** m/s². */
export const GRAVITY = 9.80665;
/** Lewis number of moist air to the power 2/3 (common practice: 0.9). */
export const LEWIS = 0.9;
export const KELVIN = 273.15;
