import { controlConfig, type ControlConfig } from '../../machines/box/index.ts';
import { panelOf, type ControllerDefinition } from '../../controllers/definitions/index.ts';
import { deedWords } from '../../controllers/panel/index.ts';
import { printFor, quantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { UnitLoad } from '../fit/index.ts';
import type { Circuit } from '../../wiring/circuit/index.ts';
import { readingsFrom, type CircuitReadings } from './fromCircuit.ts';
import type { Predicted } from './predicted.ts';

/** What a test list follows from. */
export interface CommissioningInput {
  readonly unit: UnitDescription;
  readonly control: ControllerDefinition;
  /** What the control will do: read back from its own codes. */
  readonly values: SettingValues;
  readonly loads: readonly UnitLoad[];
  /** The circuit as planned: volts and amps come from it, where there is one. */
  readonly circuit: Circuit | null;
  /** Simulated beforehand; null until it is there. */
  readonly predicted: Predicted | null;
  readonly display: TemperatureUnit;
}

/** The same with words for what the control shows. */
export interface Wording extends CommissioningInput {
  /** What the planned circuit makes a meter read; null without one. */
  readonly readings: CircuitReadings | null;
  degrees(celsius: number): string;
  difference(kelvin: number): string;
  has(output: string): boolean;
  /** True where it drives this by 0–10 V. */
  analog(output: string): boolean;
  code(words: RegExp): string;
  /** The keys for something done without the menu, in a sentence; null where nobody stated them. */
  direct(does: string): string | null;
}

/** The same with the settings as a control of a box runs on them. */
export interface Facts extends Wording {
  readonly config: ControlConfig;
}

/** Facts, or a sentence where the settings do not make a control. */
export function factsOf(input: CommissioningInput): Facts | string {
  const config = controlConfig(input.values);
  return typeof config === 'string' ? config : { ...wordingOf(input), config };
}

/** Alarms of the machine behind the air: “high pressure” is no warm box. */
const ofMachine = /pressure|coolant|oil|battery|voltage/i;

/** Degrees in the reader's unit, what the control has to switch with, its alarm codes by their meaning. */
export function wordingOf(input: CommissioningInput): Wording {
  return {
    ...input,
    readings: input.circuit && readingsFrom(input.circuit),
    degrees: (celsius) => printFor(quantity(celsius, 'degC'), input.display),
    difference: (kelvin) => printFor(quantity(kelvin, 'K'), input.display),
    has: (output) =>
      (input.control.relays ?? []).some((relay) => relay.drives === output) ||
      analogDrives(input.control).includes(output),
    analog: (output) => analogDrives(input.control).includes(output),
    code: (words) => {
      const found = input.control.alarmCodes?.find(
        (alarm) => words.test(alarm.means) && !ofMachine.test(alarm.means),
      );
      return found ? `“${found.code}”` : '';
    },
    direct: (does) => {
      const panel = panelOf(input.control);
      const deed = panel ? deedWords(panel).find((one) => one.does === does) : undefined;
      return deed ? `${deed.name}: ${deed.strokes.join('; ')}.` : null;
    },
  };
}

/** Outputs on 0–10 V; definitions carry them beside their relays. */
const analogDrives = (control: ControllerDefinition): readonly unknown[] =>
  (
    (control as { readonly analogOutputs?: readonly { readonly drives?: unknown }[] }).analogOutputs ?? []
  ).map((o) => o.drives);

/** Seconds as a person says them: `4 min`, `90 s`. */
export const spoken = (seconds: number) =>
  seconds >= 120 || seconds % 60 === 0 ? `${+(seconds / 60).toFixed(1)} min` : `${Math.round(seconds)} s`;
