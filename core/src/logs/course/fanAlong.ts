import { restFan, type ControlConfig } from '../../machines/box/index.ts';
import { between, type CourseDefrost, type CourseSwitch } from '../../machines/identification/index.ts';

/** A coil is back at a usual fan temperature within this after a defrost where nobody logged it, s (common practice: two to four minutes). */
const USUAL_WAIT = 180;

/**
 * The evaporator fan along switchings, as the settings say it: while cooling, in the rest, in defrost and drain, and after a drain until the coil is cold or the delay is over. The coil is the
 * logged one where there is one.
 */
export function fanAlong(
  plain: readonly Omit<CourseSwitch, 'fan'>[],
  defrosts: readonly CourseDefrost[],
  { fans }: ControlConfig,
  end: number,
  coil: { readonly time: Float64Array; readonly coil: Float64Array } | null,
): readonly CourseSwitch[] {
  if (!fans.controlled)
    return plain.map(({ at, compressor, heater }) => ({ at, compressor, heater, fan: true }));
  const waits = defrosts.map(({ over }) => ({ from: over, to: over + waitAfter(fans, over, coil) }));
  const rests = restEdges(plain, fans, end);
  const at = [...new Set([...plain.map((p) => p.at), ...waits.map((w) => w.to), ...rests])].sort(
    (a, b) => a - b,
  );
  let of = 0;
  let stopped = -Infinity;
  return at.map((t) => {
    while (of < plain.length - 1 && plain[of + 1]!.at <= t) {
      if (plain[of]!.compressor && !plain[of + 1]!.compressor) stopped = plain[of + 1]!.at;
      of += 1;
    }
    const { compressor, heater } = plain[of]!;
    const clearing = defrosts.some((d) => t >= d.from && t < d.over);
    const waiting = waits.some((w) => t >= w.from && t < w.to);
    const fan = clearing ? fans.runsInDefrost : !waiting && (compressor || restFan(fans, t - stopped));
    return { at: t, compressor, heater, fan };
  });
}

function waitAfter(
  fans: ControlConfig['fans'],
  over: number,
  coil: { readonly time: Float64Array; readonly coil: Float64Array } | null,
): number {
  const most = fans.delayAfterDrain ?? Infinity;
  if (fans.restartCoil === null) return most === Infinity ? 0 : most;
  if (!coil) return Math.min(most, USUAL_WAIT);
  for (let waited = 0; waited < Math.min(most, 3600); waited += 15)
    if (between(coil.time, coil.coil, over + waited) <= fans.restartCoil) return waited;
  return Math.min(most, 3600);
}

/** Moments in rests at which the fan changes: the end of its run-on, and the turns of its cycle. */
function restEdges(
  plain: readonly Omit<CourseSwitch, 'fan'>[],
  fans: ControlConfig['fans'],
  end: number,
): readonly number[] {
  const edges: number[] = [];
  for (const [i, one] of plain.entries()) {
    const before = plain[i - 1];
    if (!before?.compressor || one.compressor) continue;
    const next = plain.slice(i + 1).find((p) => p.compressor)?.at ?? end;
    if (fans.runOn > 0 && one.at + fans.runOn < next) edges.push(one.at + fans.runOn);
    const period = fans.restOn + fans.restOff;
    if (fans.inRest !== 'cycle' || period <= 0) continue;
    for (let t = one.at; t < next; t += period) edges.push(t, t + fans.restOn);
  }
  return edges.filter((t) => t < end);
}

/** The evaporator fan along switchings as it was logged. */
export function loggedFan(
  plain: readonly Omit<CourseSwitch, 'fan'>[],
  time: Float64Array,
  fan: Float64Array,
): readonly CourseSwitch[] {
  const changes: number[] = [];
  for (let i = 1; i < fan.length; i += 1)
    if (fan[i] !== fan[i - 1]) changes.push((time[i - 1]! + time[i]!) / 2);
  const at = [...new Set([...plain.map((p) => p.at), ...changes])].sort((a, b) => a - b);
  let of = 0;
  let row = 0;
  return at.map((t) => {
    while (of < plain.length - 1 && plain[of + 1]!.at <= t) of += 1;
    while (row < time.length - 1 && (time[row]! + time[row + 1]!) / 2 <= t) row += 1;
    return { at: t, compressor: plain[of]!.compressor, heater: plain[of]!.heater, fan: fan[row] === 1 };
  });
}
