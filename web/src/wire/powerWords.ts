import type { PowerLog } from '@brine/core/record/job';
import { localTime } from '../shared/display/localTime.ts';

/** How the cabinet stands, for the head of the station: “locked out 10:42, live again 11:05”. */
export function powerWords(power: PowerLog): string {
  const out = power.lockedOutAt ? `locked out ${localTime(power.lockedOutAt)}, tested dead` : null;
  const live = power.liveAt ? `live again ${localTime(power.liveAt)}` : null;
  if (power.now === 'unknown') return 'not locked out yet';
  const words = power.now === 'live' ? [out, live] : [live, out];
  return words.filter(Boolean).join(', ');
}
