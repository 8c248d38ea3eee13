import { computed } from 'vue';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { OpenJob } from '../job/useJob.ts';

const tells = (one: ControllerDefinition | null): boolean =>
  one?.registers?.some(({ reading }) => reading !== undefined) ?? false;

/** The hash of the control of a job that can be followed: the new one where it tells anything over a bus, else the old one; null where neither does. */
export const followedControl = (job: OpenJob) =>
  computed(() => {
    if (tells(job.replacement.value)) return job.newPin.value!.hash;
    return tells(job.old.value) ? job.oldPin.value!.hash : null;
  });
