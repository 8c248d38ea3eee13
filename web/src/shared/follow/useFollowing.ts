import { effectScope, onScopeDispose, proxyRefs, watch } from 'vue';
import { useJob } from '../job/useJob.ts';
import { followedControl } from './followedControl.ts';
import { followingOf } from './following.ts';

/** The job looked at last keeps what it was told, from page to page of it. */
let kept: { readonly job: string; readonly following: ReturnType<typeof opened> } | null = null;
/** Of no page: it outlives the one that asked for it first. */
const opened = (job: string) => effectScope(true).run(() => proxyRefs(followingOf(job)))!;

/** What the control of this job tells over its bus, while a page that wants it is open; nothing is asked for a control without readings. */
export function useFollowing() {
  const job = useJob();
  const control = followedControl(job);
  if (kept?.job !== job.id) kept = { job: job.id, following: opened(job.id) };
  const { following } = kept;
  let detach: (() => void) | null = null;
  watch(control, (tells) => tells && (detach ??= following.attach()), { immediate: true });
  onScopeDispose(() => detach?.());
  return { following, control };
}
