import type { Log } from '@brine/core/logs/reading';
import type { Sample, Simulated } from '@brine/core/machines/simulation';

/** Rows of a logger further apart than this are a gap in the drawing, s. */
const GAP = 1800;

/**
 * A stretch of a log as the day strip draws it: a sample every so many seconds, holding the last reading; what was not logged is NaN.
 *
 * @param gap rows further apart are a gap, s
 */
export function measuredRun(log: Log, from: number, seconds: number, every: number, gap = GAP): Simulated {
  const { time, values } = log;
  const series: Sample[] = [];
  let at = 0;
  for (let t = 0; t <= seconds; t += every) {
    const when = from + t;
    while (at + 1 < time.length && time[at + 1]! <= when) at += 1;
    const held = time[at]! <= when && when - time[at]! <= gap;
    const read = (column: Float64Array | undefined) => (held && column ? column[at]! : Number.NaN);
    const flag = (column: Float64Array | undefined) => read(column) > 0.5;
    const defrost = flag(values.defrost);
    series.push({
      t,
      air: read(values.air),
      coil: read(values.coil),
      product: read(values.product),
      frost: Number.NaN,
      compressor: flag(values.compressor),
      fan: flag(values.fan) || read(values.fanPercent) > 0,
      defrost,
      phase: defrost ? 'defrost' : 'regulate',
      stage2: false,
      alarm: flag(values.alarm),
      door: flag(values.door),
    });
  }
  return { events: [], figures: null as unknown as Simulated['figures'], series };
}
