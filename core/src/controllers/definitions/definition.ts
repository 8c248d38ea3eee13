import type { Panel } from './panelGrammar.ts';
import type { Register, RegisterCheck } from './register.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';

export const CONTROLLER_FORMAT = 'brine-dial/controller@1';

/** What a number on the display stands for; the two `display…` units follow the display unit parameter. */
export const encodingUnits = [
  'displayTemperature',
  'displayDifference',
  'degC',
  'degF',
  'K',
  'deltaF',
  's',
  'min',
  'h',
  '%',
  'V',
  'ratio',
  'none',
] as const;
export type EncodingUnit = (typeof encodingUnits)[number];

/** Units a range may stand in. */
export type RangeUnit = 'degC' | 'degF' | 'K' | 'deltaF' | 's' | 'min' | 'h' | '%' | 'V';

/** Step of a number as shown; it may depend on whether tenths are on. */
export type Resolution = number | { readonly withDecimal: number; readonly without: number };

/** A number typed on the display. min, max and default stand in `rangeUnit`, else in `unit`; resolution in the shown unit. */
export interface NumberEncoding {
  readonly type: 'number';
  readonly unit: EncodingUnit;
  readonly min: number;
  readonly max: number;
  readonly default: number;
  readonly resolution?: Resolution;
  readonly rangeUnit?: RangeUnit;
  /** −1 where a family types a positive amount as a negative number. */
  readonly sign?: 1 | -1;
}

/** What an option stands for: one value, or several settings at once. Free text where the parameter has no setting. */
export type OptionMeaning = SettingValue | Readonly<Partial<Record<SettingId, SettingValue>>>;

export interface ChoiceOption {
  readonly value: number | string;
  readonly means?: OptionMeaning;
}

export interface ChoiceEncoding {
  readonly type: 'choice';
  readonly options: readonly ChoiceOption[];
  readonly default: number | string;
}

export interface PresetEncoding {
  readonly type: 'preset';
  readonly default: string;
}

/** A list entry that only shows something. */
export interface ReadingEncoding {
  readonly type: 'reading';
  readonly reads: string;
}

export type Encoding = NumberEncoding | ChoiceEncoding | PresetEncoding | ReadingEncoding;

/** One setting of several that a number stands for. */
export interface SettingPart {
  readonly id: SettingId;
  readonly sign?: 1 | -1;
}

export interface VisibleWhen {
  readonly code: string;
  readonly in: readonly (number | string)[];
}

/** One line of a controller's own menu. */
export interface Parameter {
  readonly code: string;
  readonly name: string;
  readonly path?: readonly string[];
  readonly setting?: SettingId | readonly SettingPart[];
  readonly encoding: Encoding;
  readonly visibleWhen?: VisibleWhen;
  readonly note?: string;
  readonly leaveAlone?: string;
  readonly forbidden?: readonly (number | string)[];
  /** What the value does where the unit of the display is switched: converted (as a rule), kept, or back to its default. */
  readonly onUnitChange?: string;
}

export interface AlarmCode {
  readonly code: string;
  readonly means: string;
  readonly severity: 'check' | 'shutdown';
  readonly firstChecks: readonly string[];
}

export interface Supply {
  readonly volts: number | readonly number[];
  readonly kind: 'ac' | 'dc';
  readonly terminals: readonly string[];
}

export interface Relay {
  readonly id: string;
  readonly drives: string;
  readonly terminals?: {
    readonly common?: string;
    readonly normallyOpen?: string;
    readonly normallyClosed?: string;
  };
  readonly ratings?: Readonly<Record<string, number>>;
  /** True where the common hangs on the supply inside the control; `unknown` until it is metered. */
  readonly commonFedInternally?: boolean | 'unknown';
}

export interface ProbeInput {
  readonly id: string;
  readonly role: string;
  readonly types: readonly string[];
  readonly terminals?: readonly string[];
}

/** An input that takes a contact: a door switch, a foreign alarm, a night signal. */
export interface ContactInput {
  readonly id: string;
  readonly roles?: readonly string[];
  readonly terminals?: readonly string[];
}

/** The hole in a door or panel that a control is clipped into, mm. */
export interface CutOut {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A family of controllers: everything the application knows of it is data. Fields not listed here are kept as they are. */
export interface ControllerDefinition {
  readonly format: typeof CONTROLLER_FORMAT;
  readonly id: string;
  readonly family: string;
  readonly summary?: string;
  readonly version?: string;
  readonly supply?: readonly Supply[];
  readonly relays?: readonly Relay[];
  readonly probes?: readonly ProbeInput[];
  readonly inputs?: readonly ContactInput[];
  /** Absent for a control on a wall, a plug or a rail, or where the booklet does not say. */
  readonly cutOut?: CutOut;
  readonly parameters: readonly Parameter[];
  /** Sensors that come back with a tag: the formula its two numbers belong to, and the unit of the signal. */
  readonly sensorTag?: { readonly formula: string; readonly signalUnit: 'degC' | 'degF' };
  readonly fixed?: Readonly<Partial<Record<SettingId, SettingValue>>>;
  /** Why an entry of `fixed` is there, where it was deduced from the codes and confirmed. */
  readonly fixedReasons?: Readonly<Partial<Record<SettingId, string>>>;
  /** In drafts only: deduced from the codes and not confirmed yet. */
  readonly implied?: Readonly<Partial<Record<SettingId, SettingValue>>>;
  readonly presets?: readonly {
    readonly id: string;
    readonly name: string;
    readonly values: Readonly<Record<string, number | string>>;
  }[];
  readonly alarmCodes?: readonly AlarmCode[];
  /** Keys, switches and menus; absent where the booklet was not read for them. */
  readonly panel?: Panel;
  /** What values do where the unit of the display is switched, for every code that does not say so itself. */
  readonly onUnitChange?: string;
  /** True where any relay may be given any duty. */
  readonly relayDutiesFree?: boolean;
  /** What it tells and takes over its bus, and by which register it is told from others there. */
  readonly registers?: readonly Register[];
  readonly registerCheck?: RegisterCheck;
  /** The bus as older files have it. */
  readonly bus?: object;
  /** What it was written down from in this application: the pasted text and what was told of it, kept for the next version. */
  readonly writing?: { readonly text?: string };
}

/** A value as a controller's display shows it. */
export type CodeValue = number | string;

/** True for a quantity-like object, so that a combined meaning is not mistaken for one. */
export function isCombined(
  means: OptionMeaning | undefined,
): means is Readonly<Partial<Record<SettingId, SettingValue>>> {
  return typeof means === 'object' && !Array.isArray(means) && !('value' in means && 'unit' in means);
}

/** The parameter with that code. Codes from files never index plain objects. */
export function parameterOf(definition: ControllerDefinition, code: string): Parameter | undefined {
  return definition.parameters.find((p) => p.code === code);
}

/** Every setting a parameter speaks of, in the order of its definition. */
export function settingsOf(parameter: Parameter): readonly SettingId[] {
  const { setting, encoding } = parameter;
  if (typeof setting === 'string') return [setting];
  if (Array.isArray(setting)) return (setting as readonly SettingPart[]).map((part) => part.id);
  if (encoding.type !== 'choice') return [];
  const ids = encoding.options.flatMap((option) =>
    isCombined(option.means) ? (Object.keys(option.means) as SettingId[]) : [],
  );
  return [...new Set(ids)];
}
