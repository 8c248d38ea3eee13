import { computed } from 'vue';
import { request } from '../api/client.ts';
import { useJob } from '../job/useJob.ts';
import type { BusFound } from './foundOverBus.ts';
import { useLines } from './useLines.ts';

/** How a control is followed: a look each second, for half a day. */
const FOLLOWED = { every: 1, hours: 12 } as const;

/** The lines of a job's site, which of them and which device on it, and what is under way there. */
export function useBusLine() {
  const job = useJob();
  const on = useLines(
    computed(() => job.job.value?.unit.siteId ?? null),
    computed(() => job.job.value?.unit.id ?? ''),
  );

  /** Reads all values of the control that a definition describes. */
  const read = (definition: string) =>
    on.run<BusFound>((at) =>
      request('startBusRead', { params: { id: job.id }, body: { ...at, definition } }),
    );
  /** Begins following it: what it tells is kept from then on, whether a page looks or not. */
  const follow = (definition: string) =>
    on.begin((at) =>
      request('startBusFollow', { params: { id: job.id }, body: { ...at, definition, ...FOLLOWED } }),
    );

  return { ...on, read, follow };
}
