import { computed } from 'vue';
import { plainWords, printShown } from '@brine/core/record/handover';
import { useDisplay } from '../shared/display/displayStore.ts';
import { inItNow } from '../shared/inUnit/inItNow.ts';
import type { NamedJob } from '../shared/inUnit/jobsOfUnit.ts';
import { useSession } from '../shared/session/sessionStore.ts';

/** What is known to be in a unit now, in words and code by code. */
export function useInItNow(jobs: () => readonly NamedJob[], unitName: () => string) {
  const session = useSession();
  const display = useDisplay();
  return computed(() => {
    const now = inItNow(jobs(), unitName(), session.company?.schools ?? {});
    return (
      now && {
        job: now.job.id,
        control: now.control.family,
        words: plainWords(now.settings, display.unit),
        planned: now.planned.length,
        rows: now.known.map((one) => ({
          code: one.code,
          name: one.parameter.name,
          value: printShown(one.parameter, one.value, now.display),
          since: one.since,
          by: now.job.names[one.by] ?? '',
        })),
      }
    );
  });
}
