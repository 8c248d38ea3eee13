import type { Rotation } from './condenserConfig.ts';
import type { CondenserState, FanState } from './condenserState.ts';

/** Which fan starts or stops next: the lowest key goes first. */
const starts: Readonly<Record<Rotation, (fan: FanState, i: number) => number>> = {
  // The one that rested longest.
  firstInFirstOut: (fan) => fan.since,
  lastInFirstOut: (_, i) => i,
  runTime: (fan) => fan.seconds,
  fixed: (_, i) => i,
};
const stops: Readonly<Record<Rotation, (fan: FanState, i: number) => number>> = {
  firstInFirstOut: (fan) => fan.since,
  // The one that started last.
  lastInFirstOut: (fan) => -fan.since,
  runTime: (fan) => -fan.seconds,
  fixed: (_, i) => -i,
};

/** Brings the number of running fans to `wanted`, one after the other by the rotation; fans switched in one second keep their order. Ties go by place. */
export function rotate(state: CondenserState, rotation: Rotation, wanted: number): void {
  const running = () => state.fans.filter((fan) => fan.on).length;
  while (running() !== wanted) {
    const start = running() < wanted;
    const key = start ? starts[rotation] : stops[rotation];
    const [next] = state.fans
      .map((fan, i) => ({ fan, key: key(fan, i), i }))
      .filter(({ fan }) => fan.on !== start)
      .sort((a, b) => a.key - b.key || (start ? a.i - b.i : b.i - a.i));
    next!.fan.on = start;
    state.changes += 1;
    next!.fan.since = state.changes;
    if (start) next!.fan.starts += 1;
  }
}
