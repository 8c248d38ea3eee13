import type { ControllerDefinition, DisplayState } from '@brine/core/controllers/definitions';
import type { PinnedDefinition } from '@brine/core/record/entries';
import { fold, standing } from '@brine/core/record/fold';
import { inUnitOf, type InUnit } from '@brine/core/record/inUnit';
import { programOf } from '@brine/core/record/job';
import { definitionByHash } from '../job/definitions.ts';
import type { NamedJob } from './jobsOfUnit.ts';

/** What is known to be in a unit now, and from which of its jobs. */
export interface InItNow extends InUnit {
  readonly job: NamedJob;
  readonly pin: PinnedDefinition;
  readonly control: ControllerDefinition;
  readonly display: DisplayState;
}

/** What is known to be in a unit now: from its newest job in which somebody saw a value of the control. Null where nobody has, or while the controller is on its way. */
export function inItNow(
  jobs: readonly NamedJob[],
  name: string,
  companyDefaults: Parameters<typeof programOf>[0]['companyDefaults'],
): InItNow | null {
  for (const job of jobs.toSorted((a, b) => b.createdAt.localeCompare(a.createdAt))) {
    const state = fold(job.entries);
    const pins = {
      old: standing(state, 'control:old', 'control')?.definition ?? null,
      replacement: standing(state, 'control:new', 'control')?.definition ?? null,
    };
    const seen = [...state.registers.keys()].some(
      (key) => key.startsWith('keyed:') || key.startsWith('found:'),
    );
    if (!pins.replacement || !seen) continue;
    const control = definitionByHash(pins.replacement.hash);
    // It is on its way; an older job must not stand in for it meanwhile.
    if (!control) return null;
    const old = definitionByHash(pins.old?.hash);
    const program = programOf({ state, name, old, replacement: control, companyDefaults });
    const inUnit = inUnitOf(state, program, control, pins);
    if (inUnit.known.length === 0) continue;
    const display = program.display ?? { unit: 'degC' as const, decimal: false };
    return { ...inUnit, job, pin: pins.replacement, control, display };
  }
  return null;
}
