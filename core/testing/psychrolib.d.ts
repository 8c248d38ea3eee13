/** What the tests use of PsychroLib, which ships no types. */
declare module 'psychrolib' {
  export const SI: number;
  export function SetUnitSystem(system: number): void;
  export function GetHumRatioFromRelHum(celsius: number, relative: number, pascal: number): number;
  export function GetSatVapPres(celsius: number): number;
  export function GetMoistAirDensity(celsius: number, ratio: number, pascal: number): number;
}
