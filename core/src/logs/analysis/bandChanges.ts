import type { BandChange } from './analysis.ts';
import { jumpsIn } from './changes.ts';
import { levelOf, type CyclePoint } from './cycles.ts';

/** A set point is taken to be changed where the cut-outs jump by more than this, K. */
const NOTICED_CHANGE = 0.6;

/** Each time the cut-outs jump to another level: when, from where to where, and cut-in with it. */
export function changesOf(points: readonly CyclePoint[]): readonly BandChange[] {
  const stops = points.filter((p) => !p.start);
  const starts = points.filter((p) => p.start);
  const jumps = jumpsIn(
    stops.map((p) => p.celsius),
    NOTICED_CHANGE,
  );
  return jumps.map((jump, i) => {
    const [lastStop, nextStop] = [stops[jump.index - 1]!.at, stops[jump.index]!.at];
    const [from, to] = [
      i === 0 ? -Infinity : stops[jumps[i - 1]!.index]!.at,
      jumps[i + 1] ? stops[jumps[i + 1]!.index]!.at : Infinity,
    ];
    const was = levelOf(starts.filter((p) => p.at > from && p.at <= lastStop));
    const is = levelOf(starts.filter((p) => p.at >= nextStop && p.at < to));
    const both = was && is ? { was: was.celsius, is: is.celsius } : null;
    return {
      ...narrowed(lastStop, nextStop, starts, both),
      cutOut: { was: jump.before, is: jump.after },
      cutIn: both,
    };
  });
}

/** Starts between the last stop of the old band and the first of the new one lie with one or the other, and narrow the time. */
function narrowed(
  lastStop: number,
  nextStop: number,
  starts: readonly CyclePoint[],
  cutIn: { readonly was: number; readonly is: number } | null,
): { readonly after: number; readonly before: number } {
  let [after, before] = [lastStop, nextStop];
  for (const { at, celsius } of starts) {
    if (!cutIn || at <= lastStop || at >= nextStop) continue;
    if (Math.abs(celsius - cutIn.is) < Math.abs(celsius - cutIn.was)) before = Math.min(before, at);
    else if (at < before) after = Math.max(after, at);
  }
  return { after, before };
}
