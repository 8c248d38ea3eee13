import type { Cause } from './cause.ts';

/**
 * Every cause known for a heat meter. None is simulated: what a wrong line does to the heat is worked out under Tools. Shares and odds are common practice, from
 * memory; a swapped pair and a dead sensor follow from heat = flow × difference.
 */
export const meterCauses: readonly Cause[] = [
  {
    id: 'meterSwapped',
    name: 'The two sensors are swapped',
    share: 12,
    decision: 'moveProbe',
    does: 'Each back into its own pocket, by the tag; note the heat counted so far.',
    shows: { noHeat: 0.85, meterFault: 0.6 },
    checks: { sensorPockets: 0.95 },
    logged: [],
  },
  {
    id: 'meterLoose',
    name: 'A sensor is not down in its pocket',
    share: 14,
    decision: 'moveProbe',
    does: 'Paste, down to the end, lead relieved, insulated over.',
    shows: { heatLow: 0.55, heatHigh: 0.3, heatJumps: 0.3 },
    checks: { sensorPockets: 0.95 },
    logged: [],
  },
  {
    id: 'meterTags',
    name: 'Slope or offset was copied wrong, or from the other tag',
    share: 16,
    decision: 'reprogram',
    does: 'Copy all four again, digit by digit, twice: Prove, Probes.',
    shows: { heatLow: 0.5, heatHigh: 0.5 },
    checks: { tagsReadBack: 0.97 },
    logged: [],
  },
  {
    id: 'meterPulse',
    name: 'Pulse value or fluid is set wrong',
    share: 9,
    decision: 'reprogram',
    does: 'From the flow meter’s plate; glycol as measured.',
    shows: { heatLow: 0.5, heatHigh: 0.5 },
    checks: { pulseWeight: 0.97 },
    logged: [],
  },
  {
    id: 'meterFlow',
    name: 'Flow meter stuck, backwards or in the other pipe',
    share: 10,
    decision: 'repair',
    does: 'By the keeper of the meter: arrow, strainer, pulses.',
    shows: { noHeat: 0.5, heatLow: 0.35, meterFault: 0.4 },
    checks: { flowSide: 0.95 },
    logged: [],
  },
  {
    id: 'meterSensorDead',
    name: 'A sensor or its lead is open, short or loose',
    share: 11,
    decision: 'repair',
    does: 'Exchange the pair: they belong together, with their tags.',
    shows: { meterFault: 0.85, heatJumps: 0.6, noHeat: 0.5 },
    checks: { sensorOhms: 0.97 },
    logged: [],
  },
];
