import {
  decodeNumber,
  encodeNumber,
  printCode,
  printScale,
  scaleOf,
  settingsOf,
  type ControllerDefinition,
  type DisplayState,
  type NumberEncoding,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import {
  isQuantity,
  printFor,
  quantity,
  unitSymbol,
  valueIn,
  type Quantity,
  type Unit,
  difference,
  differenceIn,
} from '../../foundation/quantities/index.ts';
import type { SettingId } from '../../foundation/settings/index.ts';

/** Settings that are added to a reading, and the probe they belong to. */
export const offsetSettings = {
  'probes.airOffset': 'air',
  'probes.coilOffset': 'coil',
  'meter.supplyOffset': 'supply',
  'meter.returnOffset': 'return',
} as const satisfies Partial<Record<SettingId, string>>;
export type CalibratedProbe = (typeof offsetSettings)[keyof typeof offsetSettings];

/** A parameter that corrects a probe. */
export interface OffsetParameter {
  readonly parameter: Parameter & { readonly encoding: NumberEncoding };
  readonly probe: CalibratedProbe;
}

/** The parameters of a control that correct a probe by an offset; none where it cannot. */
export function offsetParameters(definition: ControllerDefinition): readonly OffsetParameter[] {
  return definition.parameters.flatMap((parameter): OffsetParameter[] => {
    const setting = settingsOf(parameter).find(
      (id): id is keyof typeof offsetSettings => id in offsetSettings,
    );
    return setting && parameter.encoding.type === 'number'
      ? [{ parameter: parameter as OffsetParameter['parameter'], probe: offsetSettings[setting] }]
      : [];
  });
}

export interface OffsetInput {
  readonly definition: ControllerDefinition;
  readonly parameter: OffsetParameter['parameter'];
  readonly display: DisplayState;
  /** What the display reads and what the reference reads, at the same time and place. */
  readonly reads: Quantity;
  readonly truth: Quantity;
  /** What the offset stands at now, as the display shows it. */
  readonly existing: number;
}

/** A new value of an offset in the control's own code. */
export interface OffsetProposal {
  readonly code: string;
  /** As the display shows it. */
  readonly value: number;
  readonly text: string;
  readonly unitText: string;
  readonly rounded: boolean;
  readonly clamped: boolean;
  /** What the display will still be off by, K: what rounding or the end of the range leaves. */
  readonly remainingK: number;
  readonly reason: string;
  readonly cautions: readonly string[];
}

/** An offset beyond this hides another fault (common practice), K. */
export const SUSPICIOUS_K: number = difference(5, 'deltaF');

/**
 * The offset that makes the display read the truth: what stands there and what is missing, in the control's unit, sign, steps and range. The
 * old offset is part of the reading, so the new one replaces it. Reads 44, true 42, offset now +1: −1.
 */
export function proposeOffset(input: OffsetInput): OffsetProposal {
  const { parameter, display, reads, truth, existing } = input;
  const { encoding } = parameter;
  const missingK = valueIn(truth, 'degC') - valueIn(reads, 'degC');
  const wantedK = offsetKelvin(existing, input) + missingK;
  const code = encodeNumber(writable(wantedK, input), encoding, display)!;
  const scale = scaleOf(encoding, display);
  const remainingK = wantedK - offsetKelvin(code.value, input);
  const text = signed(printCode(code.value, scale.resolution));
  return {
    code: parameter.code,
    value: code.value,
    text,
    unitText: unitSymbol(offsetUnit(input)),
    rounded: code.rounded,
    clamped: code.clamped,
    remainingK,
    reason: `The display reads ${printFor(reads, display.unit)} where ${printFor(truth, display.unit)} is true: ${differenceText(Math.abs(missingK), display)} too ${missingK < 0 ? 'much' : 'little'}. With ${signed(printCode(existing, scale.resolution))} in there already, ${parameter.code} becomes ${text} ${unitSymbol(offsetUnit(input))}.`,
    cautions: cautionsOf(input, code, remainingK, wantedK, printScale(scale)),
  };
}

function cautionsOf(
  { display, parameter }: OffsetInput,
  code: { readonly clamped: boolean; readonly rounded: boolean },
  remainingK: number,
  wantedK: number,
  range: string,
): readonly string[] {
  const cautions: string[] = [];
  if (code.clamped)
    cautions.push(
      `${parameter.code} takes ${range} only: ${differenceText(remainingK, display)} stay wrong. Look for the wrong sensor type, a wet probe or a bad place before you go on.`,
    );
  else if (code.rounded) cautions.push(`It goes in steps: ${differenceText(remainingK, display)} stay over.`);
  if (!code.clamped && Math.abs(wantedK) > SUSPICIOUS_K)
    cautions.push(
      `An offset of ${differenceText(wantedK, display)} is more than a sound probe needs. Check type, place and dampness first; an offset hides what comes next.`,
    );
  return cautions;
}

/** Where an offset is written: the control, its parameter, its display. */
type OffsetPlace = Pick<OffsetInput, 'definition' | 'parameter' | 'display'>;

/** An offset as the display shows it, as the kelvin it adds to a reading: scale, sign and unit of the code undone. */
export function offsetKelvin(shown: number, input: OffsetPlace): number {
  const read = decodeNumber(shown, input.parameter.encoding, input.display);
  if (isQuantity(read)) return valueIn(read, 'K');
  return difference(read, tagUnit(input) === 'degF' ? 'deltaF' : 'K');
}

/** The unit an offset is typed in: that of its code, else that of the tag's formula. */
export function offsetUnit(input: OffsetPlace): Unit {
  return (
    scaleOf(input.parameter.encoding, input.display).unit ?? (tagUnit(input) === 'degF' ? 'deltaF' : 'K')
  );
}

function writable(kelvin: number, input: OffsetInput): Quantity | number {
  const bare = scaleOf(input.parameter.encoding, input.display).unit === null;
  if (!bare) return quantity(kelvin, 'K');
  return differenceIn(difference(kelvin, 'K'), tagUnit(input) === 'degF' ? 'deltaF' : 'K');
}

/** The unit a bare offset belongs to: that of the tag's formula. */
const tagUnit = ({ definition }: OffsetPlace) => definition.sensorTag?.signalUnit ?? 'degC';

const signed = (text: string) => (Number(text) > 0 ? `+${text}` : text.replace('-', '−'));

function differenceText(kelvin: number, display: DisplayState): string {
  return printFor(quantity(kelvin, 'K'), display.unit);
}

/** What the display shows at a true temperature, °C: slope × bare reading + offset, where the bare reading errs by `errorK`. */
export interface ShownAt {
  readonly trueC: number;
  readonly before: number;
  readonly after: number;
}

/**
 * What the display will show at some true temperatures before and after a correction. `bare` gives what the probe reads without any correction;
 * corrections are slope × reading + offset in °C and K.
 */
export function shownBeforeAndAfter(
  trueC: readonly number[],
  bare: (celsius: number) => number,
  before: { readonly slope: number; readonly offsetK: number },
  after: { readonly slope: number; readonly offsetK: number },
): readonly ShownAt[] {
  const corrected = (c: { readonly slope: number; readonly offsetK: number }, t: number) =>
    c.slope * bare(t) + c.offsetK;
  return trueC.map((t) => ({ trueC: t, before: corrected(before, t), after: corrected(after, t) }));
}
