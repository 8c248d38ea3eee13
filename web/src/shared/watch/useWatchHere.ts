import { computed } from 'vue';
import { useJob } from '../job/useJob.ts';
import { useWatch } from './watchStore.ts';

/** The phone before a display, as the pages of one job see it: whether it watches for this job, and whether it may be started. */
export function useWatchHere() {
  const job = useJob();
  const watching = useWatch();
  const isMine = computed(() => watching.job === job.id && watching.state !== 'off');
  return {
    watching,
    /** The camera runs for this job, or is being opened. */
    isMine,
    /** It runs. */
    isOn: computed(() => isMine.value && watching.state === 'on'),
  };
}
