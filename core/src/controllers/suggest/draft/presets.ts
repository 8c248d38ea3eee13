import type { CodeValue, ControllerDefinition } from '../../definitions/index.ts';

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
  const list = named.map((preset) => ({
    id: preset.id.trim(),
    name: preset.name.trim() || preset.id.trim(),
    values: Object.fromEntries(
      Object.entries(preset.values).flatMap(([code, text]): [string, CodeValue][] => {
        const value = valueOf(definition, code, text.trim());
        if (value !== null) return [[code, value]];
        if (text.trim() !== '') problems.push(`Preset ${preset.id}: ${code} cannot be ${text}`);
        return [];
      }),
    ),
  }));
  const parameters = definition.parameters.map((parameter) => {
    if (parameter.code !== picks) return parameter;
    const { setting: _, ...bare } = parameter;
    const printed = 'default' in parameter.encoding ? String(parameter.encoding.default) : '';
    const standard = list.find(({ id }) => id === printed) ?? list[0]!;
    return { ...bare, encoding: { type: 'preset' as const, default: standard.id } };
  });
  return { definition: { ...definition, parameters, presets: list }, problems };
}

/** A value as its code holds it; null where it has none such. */
function valueOf({ parameters }: ControllerDefinition, code: string, text: string): CodeValue | null {
  const encoding = parameters.find((p) => p.code === code)?.encoding;
  if (text === '' || !encoding) return null;
  if (encoding.type === 'number') {
    const number = Number(text.replace(',', '.').replace('−', '-'));
    return Number.isFinite(number) && number >= encoding.min && number <= encoding.max ? number : null;
  }
  if (encoding.type !== 'choice') return null;
  return encoding.options.find((o) => String(o.value).toLowerCase() === text.toLowerCase())?.value ?? null;
}
