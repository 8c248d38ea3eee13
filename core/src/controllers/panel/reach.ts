import {
  displayOf,
  readDefinition,
  scaleOf,
  type CodeValue,
  type ControllerDefinition,
  type DefinitionFault,
  type Parameter,
} from '../definitions/index.ts';
import { clean, decimalsOf } from '../../foundation/quantities/index.ts';
import { optionsOf } from './editing.ts';
import { panelAtRest } from './interpreter.ts';
import { machineOf, sensedCodes, type Machine } from './machine.ts';
import { enterMenu } from './plan/enter.ts';
import { planKeys } from './plan/planKeys.ts';
import { Walker } from './plan/walker.ts';
import { CannotPlan } from './plan/wishes.ts';

/**
 * Reads a definition as `brine controller check` judges it: well-formed, and every menu and code reached by keys. Deciphering a sheet needs less:
 * `readDefinition`.
 */
export function readController(
  data: unknown,
): { readonly definition: ControllerDefinition } | { readonly faults: readonly DefinitionFault[] } {
  const read = readDefinition(data);
  if ('faults' in read) return read;
  // What no key reaches can be asked only of a definition that is sound otherwise.
  const faults = unreachable(read.definition);
  return faults.length === 0 ? read : { faults };
}

/**
 * What no key sequence reaches on a panel that is well-formed: menus that do not open by their own steps, parameters that cannot be set to
 * another value. Found by trying each on the interpreter. Values that a preset or sensing sets count as reached.
 */
export function unreachable(definition: ControllerDefinition): readonly DefinitionFault[] {
  const machine = machineOf(definition);
  if (!machine) return [];
  const closed = machine.panel.menus.flatMap((menu, i) =>
    problemOf(() => enterMenu(new Walker(machine, panelAtRest(machine)), menu), `$.panel.menus[${i}].enter`),
  );
  if (closed.length > 0) return closed;
  const byThemselves = new Set([
    ...sensedCodes(machine),
    ...(definition.presets ?? []).flatMap((preset) => Object.keys(preset.values)),
  ]);
  return definition.parameters.flatMap((parameter, i) => {
    const other = anotherValue(machine, parameter);
    if (other === null || byThemselves.has(parameter.code)) return [];
    const wish = { code: parameter.code, value: other };
    return problemOf(() => planKeys(machine, new Map(), [wish]), `$.parameters[${i}]`);
  });
}

function problemOf(work: () => unknown, path: string): readonly DefinitionFault[] {
  try {
    work();
    return [];
  } catch (error) {
    if (!(error instanceof CannotPlan)) throw error;
    return [{ path, message: `no key sequence reaches it: ${error.message}` }];
  }
}

/** A value beside the default, or null where there is none to set. */
function anotherValue(machine: Machine, parameter: Parameter): CodeValue | null {
  const { encoding } = parameter;
  if (encoding.type === 'reading') return null;
  if (encoding.type !== 'number')
    return optionsOf(machine, parameter).find((o) => o !== encoding.default) ?? null;
  const scale = scaleOf(encoding, displayOf(machine.definition, new Map()));
  const near = [1, -1].map((by) =>
    clean(scale.default + by * scale.resolution, decimalsOf(scale.resolution)),
  );
  return near.find((v) => v >= scale.min && v <= scale.max) ?? null;
}
