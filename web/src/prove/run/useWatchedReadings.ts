import { computed, ref, watch } from 'vue';
import { valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useWatchHere } from '../../shared/watch/useWatchHere.ts';
import { READING_EVERY_MS } from './readingEvery.ts';

/** Numbers that the camera reads on the display, handed on as °C with their times while they are wanted. */
export function useWatchedReadings(
  wanted: () => boolean,
  take: (celsius: number, readAt: string) => unknown,
) {
  const job = useJob();
  const display = useDisplay();
  const { watching, isOn } = useWatchHere();
  const writes = ref(true);
  const here = computed(() => wanted() && isOn.value);
  let last = -Infinity;
  // The rows come every few seconds while a number stands.
  watch(
    () => watching.rows,
    (rows) => {
      const row = rows.at(-1);
      if (!row || !here.value || !writes.value || row.at - last < READING_EVERY_MS) return;
      const read = readTemperature(String(row.value), job.program.value.display?.unit ?? display.unit);
      if (!read.ok) return;
      last = row.at;
      void take(valueIn(read.value, 'degC'), new Date(row.at).toISOString());
    },
  );
  return { here, writes };
}
