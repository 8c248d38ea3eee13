import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { AcceptedEntry, PinnedDefinition } from '@brine/core/record/entries';
import { fold, standing, type JobState } from '@brine/core/record/fold';
import { programOf, type Program } from '@brine/core/record/job';
import type { DefinitionsByHash, JobMaterial } from './jobMaterial.ts';

/** A job as its stream stands on the server: state, program, and the new control with its pin; both null where none is chosen. */
export interface JobProgram {
  readonly entries: readonly AcceptedEntry[];
  readonly definitions: DefinitionsByHash;
  readonly state: JobState;
  readonly program: Program;
  readonly pin: PinnedDefinition | null;
  readonly control: ControllerDefinition | null;
}

/** Folds a job's entries and computes its program, as a page would. Takes up to a second: it is for threads. */
export function jobProgramOf(material: JobMaterial): JobProgram {
  const { entries, definitions } = readMaterial(material);
  const state = fold(entries);
  const pinOf = (role: 'old' | 'new') => standing(state, `control:${role}`, 'control')?.definition ?? null;
  const definitionOf = (pin: PinnedDefinition | null) => (pin && definitions[pin.hash]) ?? null;
  const pin = pinOf('new');
  const control = definitionOf(pin);
  const program = programOf({
    state,
    name: material.unitName,
    old: definitionOf(pinOf('old')),
    replacement: control,
    companyDefaults: material.schools,
  });
  return { entries, definitions, state, program, pin, control };
}

/** A job's entries and the definitions they name, read from their texts. */
export function readMaterial(material: JobMaterial): Pick<JobProgram, 'entries' | 'definitions'> {
  return {
    entries: entriesOf(material.entries),
    definitions: JSON.parse(material.definitions) as DefinitionsByHash,
  };
}

/** Our own entries carry no `foreign`. */
function entriesOf(text: string): readonly AcceptedEntry[] {
  type Row = Omit<AcceptedEntry, 'foreign'> & { readonly foreign: AcceptedEntry['foreign'] | null };
  return (JSON.parse(text) as readonly Row[]).map(({ foreign, ...entry }) => ({
    ...entry,
    ...(foreign && { foreign }),
  }));
}
