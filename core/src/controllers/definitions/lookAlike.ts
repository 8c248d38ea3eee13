import type { ControllerDefinition, Parameter } from './definition.ts';

/**
 * Letters and digits that seven bars draw alike, or that are heard alike when somebody reads a code out (common practice). Each is brought to one
 * sign; codes that come out the same are taken for one another.
 */
const drawnAlike: readonly (readonly [RegExp, string])[] = [
  [/[o0dq]/g, '0'],
  [/[s5]/g, '5'],
  [/[il1|]/g, '1'],
  [/[z2]/g, '2'],
  [/[b68]/g, '6'],
  [/[g9]/g, '9'],
  [/[uv]/g, 'u'],
  [/[nmh]/g, 'n'],
  [/[ck]/g, 'c'],
  [/[t7]/g, 't'],
  [/[-_.\s]/g, ''],
];

/** Codes that may be taken for each other on a display of bars, in file order; each with all that look like it. Text displays write names. */
export function looksLike(definition: ControllerDefinition): ReadonlyMap<string, readonly Parameter[]> {
  const text = definition.panel?.display?.text === true;
  const groups = new Map<string, Parameter[]>();
  for (const parameter of definition.parameters) {
    const key = text ? parameter.name.toLowerCase() : skeleton(parameter.code);
    groups.set(key, [...(groups.get(key) ?? []), parameter]);
  }
  const alike = new Map<string, readonly Parameter[]>();
  for (const group of groups.values())
    for (const parameter of group)
      if (group.length > 1)
        alike.set(
          parameter.code,
          group.filter((other) => other !== parameter),
        );
  return alike;
}

function skeleton(code: string): string {
  return drawnAlike.reduce((text, [signs, one]) => text.replace(signs, one), code.toLowerCase());
}
