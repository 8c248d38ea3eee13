import { readHeader } from '../../../foundation/files/index.ts';
import { isSettingId } from '../../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definition.ts';
import { addValueFault, checkChoice, checkNumber } from './checkEncoding.ts';
import { checkHardware } from './checkHardware.ts';
import { checkPanel } from './checkPanel.ts';
import { checkRegisters } from './checkRegisters.ts';
import { checkVisibility } from './checkVisibility.ts';
import { Faults, isRecord, shown, type DefinitionFault } from './fault.ts';

/**
 * Every fault of a definition read from a file, each with its JSON path (`$.parameters[3].encoding.min`). Empty means that decode,
 * encode and translate can rely on it. Unknown fields are no fault: they are kept.
 */
export function checkDefinition(data: unknown): readonly DefinitionFault[] {
  const header = readHeader(data, 'brine-dial/controller', 1);
  if ('problem' in header)
    return [{ path: header.field === '(file)' ? '$' : `$.${header.field}`, message: header.message }];
  const definition = header.data;
  const faults = new Faults();
  faults.text('$.id', definition['id'], 'an id of the controller');
  faults.text('$.family', definition['family'], 'the name of the controller');
  const parameters = faults.array('$.parameters', definition['parameters']);
  if (parameters.length === 0) faults.add('$.parameters', 'expected at least one parameter');
  const codes = checkParameters(parameters, definition, faults);
  checkVisibility(parameters, faults);
  checkFixed(definition, parameters, faults);
  checkPresets(definition, codes, faults);
  checkHardware(definition, codes, faults);
  checkRegisters(definition, codes, faults);
  checkPanel(definition, codes, faults);
  return faults.list;
}

/** Reads a definition that was checked: the same data with its type, or its faults. */
export function readDefinition(
  data: unknown,
): { readonly definition: ControllerDefinition } | { readonly faults: readonly DefinitionFault[] } {
  const faults = checkDefinition(data);
  return faults.length === 0 ? { definition: data as ControllerDefinition } : { faults };
}

function checkParameters(
  parameters: readonly unknown[],
  definition: Readonly<Record<string, unknown>>,
  faults: Faults,
): ReadonlySet<string> {
  const firstAt = new Map<string, number>();
  parameters.forEach((raw, i) => {
    const path = `$.parameters[${i}]`;
    const parameter = faults.object(path, raw);
    if (!parameter) return;
    const { code, setting, encoding } = parameter;
    if (faults.text(`${path}.code`, code, 'the code as the display shows it')) {
      const before = firstAt.get(code);
      if (before !== undefined)
        faults.add(`${path}.code`, `the code ${code} already stands at $.parameters[${before}]`);
      else firstAt.set(code, i);
    }
    const ids = checkSettings(`${path}.setting`, setting, faults);
    const rule = faults.object(`${path}.encoding`, encoding);
    if (rule) checkEncoding(`${path}.encoding`, rule, ids, definition, faults);
  });
  return new Set(firstAt.keys());
}

function checkEncoding(
  path: string,
  encoding: Readonly<Record<string, unknown>>,
  settings: readonly string[],
  definition: Readonly<Record<string, unknown>>,
  faults: Faults,
): void {
  switch (encoding['type']) {
    case 'number':
      return checkNumber(path, encoding, settings, faults);
    case 'choice':
      return checkChoice(path, encoding, settings, faults);
    case 'preset': {
      const ids = faults
        .array('$.presets', definition['presets'])
        .map((p) => (isRecord(p) ? p['id'] : undefined));
      if (!ids.includes(encoding['default']))
        faults.add(`${path}.default`, `${shown(encoding['default'])} is no preset of this definition`);
      return;
    }
    case 'reading':
      faults.text(`${path}.reads`, encoding['reads'], 'what is shown, such as coil');
      return;
    default:
      faults.add(
        `${path}.type`,
        `${shown(encoding['type'])} is unknown; expected number, choice, preset or reading`,
      );
  }
}

function checkSettings(path: string, setting: unknown, faults: Faults): readonly string[] {
  if (setting === undefined || setting === null) return [];
  const parts = Array.isArray(setting)
    ? (setting as unknown[]).map((part) => (isRecord(part) ? part['id'] : part))
    : [setting];
  return parts.flatMap((id, i) => {
    if (isSettingId(id)) return [id];
    faults.add(
      Array.isArray(setting) ? `${path}[${i}].id` : path,
      `${shown(id)} is not a known setting; see \`brine settings\``,
    );
    return [];
  });
}

function checkFixed(
  definition: Readonly<Record<string, unknown>>,
  parameters: readonly unknown[],
  faults: Faults,
): void {
  if (definition['fixed'] === undefined) return;
  const fixed = faults.object('$.fixed', definition['fixed']);
  const byParameter = new Set(parameters.map((p) => (isRecord(p) ? p['setting'] : undefined)));
  for (const [id, value] of Object.entries(fixed ?? {})) {
    addValueFault(`$.fixed.${id}`, id, value, faults);
    if (byParameter.has(id))
      faults.add(`$.fixed.${id}`, `${id} is fixed and a parameter as well; it can be only one`);
  }
}

function checkPresets(
  definition: Readonly<Record<string, unknown>>,
  codes: ReadonlySet<string>,
  faults: Faults,
): void {
  const ids = new Set<unknown>();
  faults.array('$.presets', definition['presets']).forEach((raw, i) => {
    const path = `$.presets[${i}]`;
    const preset = faults.object(path, raw);
    if (!preset) return;
    if (faults.text(`${path}.id`, preset['id'], 'an id') && ids.has(preset['id']))
      faults.add(`${path}.id`, `the preset ${preset['id']} is there twice`);
    ids.add(preset['id']);
    const values = faults.object(`${path}.values`, preset['values']);
    for (const code of Object.keys(values ?? {}))
      if (!codes.has(code)) faults.add(`${path}.values.${code}`, `${code} is no code of this definition`);
  });
}
