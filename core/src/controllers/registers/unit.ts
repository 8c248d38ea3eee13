import {
  followsUnit,
  type CodeValues,
  type ControllerDefinition,
  type Parameter,
  type Register,
} from '../definitions/index.ts';

/** The register that holds a code's value. */
export const registerOf = (definition: ControllerDefinition, code: string): Register | undefined =>
  definition.registers?.find((register) => register.code === code);

/** Whether what a register holds is another temperature where the display stands in another unit; not where the bus keeps a unit of its own. */
export const hangsOnUnit = (register: Register, { encoding }: Parameter): boolean =>
  register.unit === undefined && encoding.type === 'number' && followsUnit(encoding);

/** Whether the values tell in which unit the display stands: where a code sets it, that code must be among them. */
export function unitIsKnown(definition: ControllerDefinition, values: CodeValues): boolean {
  const sets = definition.parameters.find(
    ({ setting, encoding }) => setting === 'display.unit' && encoding.type === 'choice',
  );
  return sets === undefined || values.has(sets.code);
}
