import { computed, watch } from 'vue';
import { predictedIds } from '@brine/core/machines/identification';
import type { EntryBody } from '@brine/core/record/entries';
import { inDays } from '../shared/display/dates.ts';
import type { OpenJob } from '../shared/job/useJob.ts';
import { PREDICTION_FOLLOW_UP } from '../shared/ownBox/followUp.ts';
import { useOwnBox } from '../shared/ownBox/useOwnBox.ts';
import { useUnitPredicted } from '../shared/ownBox/useUnitPredicted.ts';

/** Days after which a log of the new settings has some days in it. */
const WATCHED_DAYS = 7;

/** What the unit's own box says of the days after the hand-over, to be kept with it: the next log is held against it. */
export function usePrediction(job: OpenJob) {
  const { used } = useOwnBox(job);
  const asked = computed(() => {
    const { unit, inForce } = job.program.value;
    return used.value && unit?.learned ? { box: used.value.box, unit, values: inForce } : null;
  });
  const { predicted, share, problem } = useUnitPredicted(() => asked.value);

  /** Once what is being drawn is there. */
  const settled = () =>
    new Promise<void>((resolve) => {
      const unwatch = watch(
        share,
        (now) => {
          if (now !== null) return;
          queueMicrotask(() => unwatch());
          resolve();
        },
        { immediate: true },
      );
    });

  /** The entries that keep it: the figures, and the day on which somebody reads the log. */
  async function entries(): Promise<readonly EntryBody[]> {
    await settled();
    const [said, asks] = [predicted.value, asked.value];
    if (!said || !asks) return [];
    const figures = predictedIds.flatMap((figure) => {
      const found = said[figure];
      return found ? [{ figure, ...found }] : [];
    });
    return [
      { kind: 'predicted', figures, values: asks.values },
      {
        kind: 'followUp',
        id: PREDICTION_FOLLOW_UP,
        followUp: {
          due: inDays(WATCHED_DAYS),
          what: 'Read the log and hold it against the prediction',
          done: false,
        },
      },
    ];
  }

  return { asked, predicted, share, problem, entries };
}
