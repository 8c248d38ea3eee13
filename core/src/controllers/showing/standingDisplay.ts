import type { CodeValue, ControllerDefinition } from '../definitions/index.ts';
import type { ShownStep } from './demonstration.ts';

/** The code that switches tenths on, set so, where a number was shown with tenths: the unit may stand otherwise than the factory left it. Empty where nothing says so. */
export function standingDisplay(
  definition: ControllerDefinition,
  steps: readonly ShownStep[],
): ReadonlyMap<string, CodeValue> {
  if (!steps.some(({ shows }) => /^[+\-−]?\d+[.,]\d$/.test(shows?.trim() ?? ''))) return new Map();
  const tenths = definition.parameters.find(({ setting }) => setting === 'display.decimal');
  if (tenths?.encoding.type !== 'choice') return new Map();
  const on = tenths.encoding.options.find(({ means }) => means === true);
  return on ? new Map([[tenths.code, on.value]]) : new Map();
}
