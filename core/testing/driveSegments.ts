import type { BoxDrive } from '../src/machines/box/index.ts';
import { restingDrive, simulate, type Scenario } from '../src/machines/simulation/index.ts';

/** A stretch of a run in which nothing is switched, seconds from its beginning. */
export interface DriveSegment {
  readonly from: number;
  readonly to: number;
  readonly drive: BoxDrive;
}

/** What the control switched in a run without faults and without warm-up, stretch by stretch: for a solver that is given the same. */
export function driveSegments(scenario: Scenario): readonly DriveSegment[] {
  const segments: { from: number; to: number; drive: BoxDrive }[] = [];
  for (const s of simulate(scenario, { sampleEvery: 1 })!.series) {
    const last = segments.at(-1);
    const same =
      last &&
      last.drive.compressor === s.compressor &&
      last.drive.heater === s.defrost &&
      last.drive.fan === s.fan &&
      last.drive.doorOpen === s.door;
    if (same) last.to = s.t + 1;
    else
      segments.push({
        from: s.t,
        to: s.t + 1,
        drive: {
          ...restingDrive(scenario),
          compressor: s.compressor,
          heater: s.defrost,
          fan: s.fan,
          doorOpen: s.door,
        },
      });
  }
  return segments;
}
