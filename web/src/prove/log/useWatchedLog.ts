import { computed } from 'vue';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localSecond } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useWatch } from '../../shared/watch/watchStore.ts';
import { logCsv } from '../../shared/watch/watchWords.ts';

/** Fewer rows tell nothing. */
const FEWEST = 3;

/** What the camera read of this job's control, as the file a logger would give; null while there is too little. */
export function useWatchedLog() {
  const job = useJob();
  const display = useDisplay();
  const watching = useWatch();
  return computed(() => {
    const { rows } = watching;
    if (watching.job !== job.id || rows.length < FEWEST) return null;
    const unit = job.program.value.display?.unit ?? display.unit;
    return () =>
      new File(
        [logCsv(rows, unit === 'degF' ? 'F' : 'C')],
        `display-${localSecond(new Date(rows[0]!.at).toISOString()).replace(/[ :]/g, '-')}.csv`,
        {
          type: 'text/csv',
        },
      );
  });
}
