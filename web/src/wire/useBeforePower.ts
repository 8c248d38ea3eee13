import { computed, shallowRef, watch } from 'vue';
import { fullMemory, settingsOfCodes } from '@brine/core/controllers/definitions';
import type { BeforePower, PowerQuestion } from '@brine/core/judgement/energise';
import { wireIds } from '@brine/core/wiring/circuit';
import { doubtWords } from '@brine/core/wiring/unsure';
import type { OpenJob } from '../shared/job/useJob.ts';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/** Minutes after the breaker closes that are looked at: a person still stands at the cabinet. */
export const MINUTES_LOOKED = 10;

/** Whether the wiring as it is ticked off may be energised, and what may start then: worked out in a worker whenever a wire, a value or the plan changes. */
export function useBeforePower(job: OpenJob) {
  const asked = computed<PowerQuestion | null>(() => {
    const { plan, tasks, wired, doubts, found } = job.wiring.value;
    const definition = job.replacement.value;
    if (!plan) return null;
    const waits = new Set(tasks.filter((id) => !wired.has(id)));
    const { rows, inForce } = job.program.value;
    const keyed = rows.length > 0 && rows.every((row) => row.state !== 'open');
    return {
      circuit: plan.circuit,
      done: wireIds(plan.circuit.wires).filter((id) => !waits.has(id)),
      holds: [
        { name: 'as programmed', values: inForce },
        // Until the last code is keyed in, the control may hold what it came with.
        ...(definition && !keyed
          ? [
              {
                name: 'with its factory values',
                values: settingsOfCodes(definition, fullMemory(definition, new Map())),
              },
            ]
          : []),
      ],
      doubts: [...doubts.map(({ what }) => doubtWords(what, found ?? undefined)), ...plan.problems],
      minutes: MINUTES_LOOKED,
    };
  });
  const said = shallowRef<BeforePower | null>(null);
  const { running, problem, start, stop } = latestRun();
  watch(
    () => JSON.stringify(asked.value),
    () => {
      const question = asked.value;
      if (!question) {
        said.value = null;
        return stop();
      }
      // What was said of other wires is no longer so, least of all that nothing is live.
      said.value = null;
      void start(async ({ signal, isCurrent }) => {
        const answer = await core.run('beforePower', question, { signal });
        if (isCurrent()) said.value = answer;
      });
    },
    { immediate: true },
  );
  return { said, running, problem };
}
