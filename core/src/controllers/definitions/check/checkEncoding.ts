import { dimensionOf, isQuantity, isUnit, type Dimension } from '../../../foundation/quantities/index.ts';
import { findSetting, validateValue, type SettingKind } from '../../../foundation/settings/index.ts';
import { encodingUnits, type EncodingUnit } from '../definition.ts';
import { isRecord, shown, type Faults } from './fault.ts';

/** What an encoding unit measures; null for bare numbers. */
export function dimensionOfEncoding(unit: EncodingUnit): Dimension | null {
  if (unit === 'displayTemperature') return 'temperature';
  if (unit === 'displayDifference') return 'temperatureDifference';
  return unit === 'ratio' || unit === 'none' ? null : dimensionOf(unit);
}

const kindDimension: Readonly<Partial<Record<SettingKind, Dimension>>> = {
  temperature: 'temperature',
  temperatureDifference: 'temperatureDifference',
  duration: 'duration',
  volts: 'volts',
  percent: 'percent',
};

/** Judges a number: its unit, that the unit fits each setting, a full range with the default inside, a step above 0. */
export function checkNumber(
  path: string,
  encoding: Readonly<Record<string, unknown>>,
  settings: readonly string[],
  faults: Faults,
): void {
  const { unit, resolution, sign } = encoding;
  if (unit === undefined)
    faults.add(`${path}.unit`, `the encoding has no unit; expected one of ${encodingUnits.join(', ')}`);
  else if (!encodingUnits.includes(unit as EncodingUnit))
    faults.add(`${path}.unit`, `${shown(unit)} is no unit; expected one of ${encodingUnits.join(', ')}`);
  else {
    checkRangeUnit(path, unit as EncodingUnit, encoding['rangeUnit'], faults);
    for (const id of settings) checkUnitFits(path, unit as EncodingUnit, id, faults);
  }
  checkRange(path, encoding, faults);
  checkResolution(`${path}.resolution`, resolution, faults);
  if (sign !== undefined && sign !== 1 && sign !== -1)
    faults.add(`${path}.sign`, `expected 1 or -1, found ${shown(sign)}`);
}

function checkRangeUnit(path: string, unit: EncodingUnit, rangeUnit: unknown, faults: Faults): void {
  if (rangeUnit === undefined) {
    if (unit === 'displayTemperature' || unit === 'displayDifference')
      faults.add(
        `${path}.rangeUnit`,
        `min, max and default need a unit of their own where the number follows the display; expected ${unit === 'displayTemperature' ? 'degC or degF' : 'K or deltaF'}`,
      );
    return;
  }
  if (!isUnit(rangeUnit)) faults.add(`${path}.rangeUnit`, `${shown(rangeUnit)} is no unit`);
  else if (dimensionOf(rangeUnit) !== dimensionOfEncoding(unit))
    faults.add(
      `${path}.rangeUnit`,
      `${rangeUnit} does not fit ${unit}; a difference and a temperature are not the same`,
    );
}

function checkUnitFits(path: string, unit: EncodingUnit, id: string, faults: Faults): void {
  const setting = findSetting(id);
  if (!setting) return;
  const wanted = kindDimension[setting.kind] ?? null;
  const found = dimensionOfEncoding(unit);
  if (setting.kind === 'choice' || setting.kind === 'flag' || setting.kind.startsWith('clock'))
    faults.add(`${path}.type`, `${id} is a ${setting.kind}; expected an encoding of type choice`);
  else if (wanted !== found) faults.add(`${path}.unit`, `${unit} does not fit ${id}, a ${setting.kind}`);
}

function checkRange(path: string, encoding: Readonly<Record<string, unknown>>, faults: Faults): void {
  const ok = (['min', 'max', 'default'] as const).filter((key) =>
    faults.number(
      `${path}.${key}`,
      encoding[key],
      key === 'default' ? 'a default inside the range' : `a number for ${key}`,
    ),
  );
  const { min, max, default: standing } = encoding as { min: number; max: number; default: number };
  if (ok.includes('min') && ok.includes('max') && min > max)
    faults.add(`${path}.min`, `min ${min} lies above max ${max}`);
  else if (ok.length === 3 && (standing < min - 1e-9 || standing > max + 1e-9))
    faults.add(`${path}.default`, `default ${standing} lies outside ${min} to ${max}`);
}

function checkResolution(path: string, resolution: unknown, faults: Faults): void {
  if (resolution === undefined) return;
  const steps: readonly (readonly [string, unknown])[] = isRecord(resolution)
    ? [
        [`${path}.withDecimal`, resolution['withDecimal']],
        [`${path}.without`, resolution['without']],
      ]
    : [[path, resolution]];
  for (const [at, step] of steps)
    if (typeof step !== 'number' || !(step > 0) || !Number.isFinite(step))
      faults.add(at, `expected a step above 0, found ${shown(step)}`);
}

/** Judges a choice: options that differ, meanings of the dictionary, a default that is one of them. */
export function checkChoice(
  path: string,
  encoding: Readonly<Record<string, unknown>>,
  settings: readonly string[],
  faults: Faults,
): void {
  const options = faults.array(`${path}.options`, encoding['options']);
  if (options.length === 0) faults.add(`${path}.options`, 'expected at least one option');
  const seen = new Set<string>();
  // A sheet's text is compared as a number where both are: 0 and 0.0 would be one option.
  const asRead = (value: unknown) => {
    const text = String(value).trim();
    return text !== '' && Number.isFinite(Number(text)) ? String(Number(text)) : text;
  };
  options.forEach((raw, i) => {
    const at = `${path}.options[${i}]`;
    const option = faults.object(at, raw);
    if (!option) return;
    const { value, means } = option;
    if (typeof value !== 'number' && typeof value !== 'string')
      faults.add(`${at}.value`, `expected a number or a text, found ${shown(value)}`);
    else if (seen.has(asRead(value))) faults.add(`${at}.value`, `the option ${shown(value)} is there twice`);
    seen.add(asRead(value));
    checkMeans(`${at}.means`, means, settings, faults);
  });
  if (!seen.has(asRead(encoding['default'])))
    faults.add(
      `${path}.default`,
      `default ${shown(encoding['default'])} is none of the options ${[...seen].join(', ')}`,
    );
}

function checkMeans(path: string, means: unknown, settings: readonly string[], faults: Faults): void {
  if (isRecord(means) && !isQuantity(means)) {
    if (settings.length > 0)
      faults.add(path, 'a parameter whose options mean several settings has no `setting` of its own');
    for (const [id, value] of Object.entries(means)) addValueFault(`${path}.${id}`, id, value, faults);
    return;
  }
  const id = settings[0];
  if (id === undefined) return; // Free text, or nothing: this code is outside the dictionary.
  if (means === undefined) faults.add(path, `the option has no meaning for ${id}`);
  else addValueFault(path, id, means, faults);
}

/** A value in a definition must be possible for its setting; words for choices are listed in the sentence. */
export function addValueFault(path: string, id: string, value: unknown, faults: Faults): void {
  const problem = validateValue(id, value);
  if (problem) faults.add(path, problem.message);
}
