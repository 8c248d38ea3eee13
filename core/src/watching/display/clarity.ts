import type { Light } from '../light/index.ts';
import { segmentsAt } from './levels.ts';
import type { Pose } from './pose.ts';

/** How clearly every segment is either lit or dark under a pose, with most segments lit that may be; 0 where nothing is lit. */
export function clarityOf(light: Light, pose: Pose): number {
  const segments = segmentsAt(light, pose);
  let level = 0;
  for (const { mean } of segments) level = Math.max(level, mean);
  if (level <= 0) return 0;
  let sum = 0;
  for (const { mean, least, most } of segments) {
    const [m, l, x] = [mean / level, least / level, most / level];
    sum += m > 0.5 ? Math.min(m, 0.9) + Math.min(l, 0.7) : -Math.max(0.08, Math.abs(m), x);
  }
  return sum;
}
