import { computed } from 'vue';
import { predictedIds } from '@brine/core/machines/identification';
import type { EntryBody } from '@brine/core/record/entries';
import { inDays } from '../shared/display/dates.ts';
import type { OpenJob } from '../shared/job/useJob.ts';
import { PREDICTION_FOLLOW_UP } from '../shared/learnedBox/followUp.ts';
import { useLearnedBox } from '../shared/learnedBox/useLearnedBox.ts';
import { usePredictedDays } from '../shared/learnedBox/usePredictedDays.ts';

/** Days after which a log of the new settings has some days in it. */
const WATCHED_DAYS = 7;

/** What the unit's own box says of the days after the hand-over, to be kept with it: the next log is held against it. */
export function usePrediction(job: OpenJob) {
  const { used } = useLearnedBox(job);
  const asked = computed(() => {
    const { unit, inForce } = job.program.value;
    return used.value && unit?.learned ? { box: used.value.box, unit, values: inForce } : null;
  });
  const { predicted, share, problem, whenDrawn } = usePredictedDays(() => asked.value);

  /** The entries that keep it: the figures, and the day on which somebody reads the log. None where nothing can be said. */
  async function entries(): Promise<readonly EntryBody[]> {
    const drawn = await whenDrawn();
    if (!drawn) return [];
    const figures = predictedIds.flatMap((figure) => {
      const found = drawn.predicted[figure];
      return found ? [{ figure, ...found }] : [];
    });
    return [
      { kind: 'predicted', figures, values: drawn.values },
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
