import type { ControlConfig } from '../../machines/box/index.ts';
import type { CourseDefrost, CourseStretch } from '../../machines/identification/index.ts';

/** A time in which it cooled, s. */
export interface Run {
  readonly from: number;
  readonly to: number;
}

/** A rest so much longer than the shortest was ended by the band, s. */
const CLEARLY = 45;

/** Runs, rests and what a defrost makes of one, in order; and whether the band ended each. */
export function courseStretches(
  all: readonly Run[],
  defrosts: readonly CourseDefrost[],
  config: ControlConfig,
  step: number,
): readonly CourseStretch[] {
  const meets = (from: number, to: number) => defrosts.some((d) => d.from < to && d.over > from);
  const { minOff, minOn, startInterval } = config.compressor;
  const runs = without(all, defrosts);
  const list: CourseStretch[] = [];
  for (const [i, run] of runs.entries()) {
    const before = runs[i - 1];
    if (before) {
      const { to: from } = before;
      const to = run.from;
      const defrost = meets(from, to);
      const held = Math.max(minOff, startInterval - (before.to - before.from));
      list.push({
        kind: defrost ? 'defrost' : 'rest',
        from,
        to,
        byBand: !defrost && to - from > held + CLEARLY + 0.5 * step,
      });
    }
    const cutShort = defrosts.some((d) => Math.abs(d.from - run.to) <= 2 * step);
    list.push({
      kind: 'run',
      from: run.from,
      to: run.to,
      byBand: !cutShort && i < runs.length - 1 && run.to - run.from > minOn + CLEARLY,
    });
  }
  return list;
}

/** Runs with the defrosts cut out of them: with hot gas the compressor runs on through one. */
function without(runs: readonly Run[], defrosts: readonly CourseDefrost[]): readonly Run[] {
  return runs.flatMap((run) => {
    const across = defrosts.find((d) => d.from > run.from && d.over < run.to);
    if (!across) return [run];
    return [{ from: run.from, to: across.from }, ...without([{ from: across.over, to: run.to }], defrosts)];
  });
}
