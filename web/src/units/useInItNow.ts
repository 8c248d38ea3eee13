import { computed } from 'vue';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { fold, standing } from '@brine/core/record/fold';
import { plainWords, printShown } from '@brine/core/record/handover';
import { inUnitOf } from '@brine/core/record/inUnit';
import { programOf } from '@brine/core/record/job';
import { useDisplay } from '../shared/display/displayStore.ts';
import { definitionByHash } from '../shared/job/definitions.ts';
import { useSession } from '../shared/session/sessionStore.ts';

/** A job of a unit with its stream and the names in it. */
export interface NamedJob {
  readonly id: string;
  readonly title: string;
  readonly createdAt: string;
  readonly entries: readonly AcceptedEntry[];
  readonly names: Readonly<Record<string, string>>;
}

/** What is known to be in a unit now: from its newest job in which somebody saw a value of the control. */
export function useInItNow(jobs: () => readonly NamedJob[], unitName: () => string) {
  const session = useSession();
  const display = useDisplay();
  return computed(() => {
    for (const job of jobs().toSorted((a, b) => b.createdAt.localeCompare(a.createdAt))) {
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
      const program = programOf({
        state,
        name: unitName(),
        old: definitionByHash(pins.old?.hash),
        replacement: control,
        companyDefaults: session.company?.schools ?? {},
      });
      const { known, settings, planned } = inUnitOf(state, program, control, pins);
      if (known.length === 0) continue;
      const shown = program.display ?? { unit: 'degC' as const, decimal: false };
      return {
        job: job.id,
        control: control.family,
        words: plainWords(settings, display.unit),
        planned: planned.length,
        rows: known.map((one) => ({
          code: one.code,
          name: one.parameter.name,
          value: printShown(one.parameter, one.value, shown),
          since: one.since,
          by: job.names[one.by] ?? '',
        })),
      };
    }
    return null;
  });
}
