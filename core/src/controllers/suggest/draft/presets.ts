import {
  displayOf,
  parameterOf,
  readTypedCode,
  type CodeValue,
  type ControllerDefinition,
} from '../../definitions/index.ts';

/** A preset as a booklet lists it: what the display shows when it is picked, its name, and the codes it sets. */
export interface WrittenPreset {
  readonly id: string;
  readonly name: string;
  /** What its codes are set to, as the display shows it. */
  readonly values: Readonly<Record<string, string>>;
}

/**
 * A definition with its presets: the code that picks one becomes a choice of presets, the first of them its factory value unless the booklet prints another. Without such a
 * code the presets stand as starting values that a key picks.
 *
 * @param picks the code that picks a preset; null where none does
 * @returns the definition, and sentences on what does not fit
 */
export function withPresets(
  definition: ControllerDefinition,
  presets: readonly WrittenPreset[],
  picks: string | null,
): { readonly definition: ControllerDefinition; readonly problems: readonly string[] } {
  if (presets.length === 0) return { definition, problems: [] };
  const problems: string[] = [];
  const named = presets.filter(({ id }, i) => {
    if (id.trim() === '') problems.push(`Preset ${i + 1}: expected what the display shows when it is picked`);
    else if (presets.findIndex((other) => other.id.trim() === id.trim()) < i)
      problems.push(`Preset ${id}: stands there twice`);
    return id.trim() !== '';
  });
  const list = named.map((preset) => {
    const { values, wrong } = valuesOf(definition, preset.values);
    for (const code of wrong) problems.push(`Preset ${preset.id}: ${code} cannot be ${preset.values[code]}`);
    return { id: preset.id.trim(), name: preset.name.trim() || preset.id.trim(), values };
  });
  const parameters = definition.parameters.map((parameter) => {
    if (parameter.code !== picks) return parameter;
    const { setting: _, ...bare } = parameter;
    const printed = 'default' in parameter.encoding ? String(parameter.encoding.default) : '';
    const standard = list.find(({ id }) => id === printed) ?? list[0]!;
    return { ...bare, encoding: { type: 'preset' as const, default: standard.id } };
  });
  return { definition: { ...definition, parameters, presets: list }, problems };
}

/**
 * The values of a preset as its codes hold them, by code, and the codes that cannot be what is written. Choices come first: with the degrees or the tenths that a preset
 * chooses, its numbers are read.
 */
function valuesOf(
  definition: ControllerDefinition,
  texts: WrittenPreset['values'],
): { readonly values: Readonly<Record<string, CodeValue>>; readonly wrong: readonly string[] } {
  const values = new Map<string, CodeValue>();
  const written = Object.entries(texts).filter(([, text]) => text.trim() !== '');
  for (const type of ['choice', 'number'] as const) {
    const display = displayOf(definition, values);
    for (const [code, text] of written) {
      const parameter = parameterOf(definition, code);
      if (parameter?.encoding.type !== type) continue;
      const read = readTypedCode(definition, parameter, text, display);
      if ('value' in read) values.set(code, read.value);
    }
  }
  const wrong = written.flatMap(([code]) => (values.has(code) ? [] : [code]));
  return { values: Object.fromEntries(values), wrong };
}
