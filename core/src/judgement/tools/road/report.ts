import { runModeFor } from '../../plan/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { figure, shownCelsius, tryAll, type ToolRow, type ToolWork } from '../report.ts';
import { engineRun } from './engineRun.ts';

const HOURS = 10;
const modes = ['continuous', 'startStop'] as const;
const names = { continuous: 'Continuous', startStop: 'Start-stop' } as const;

/** A transport unit: what each run mode does over a round of ten hours, and which the goods ask for. */
export const roadReport: ToolWork = ({ unit, values, display }, progress) => {
  const advice = runModeFor(unit);
  const done = tryAll(
    modes,
    (mode) => {
      const set: SettingValues = { 'transport.runMode': mode };
      const run = engineRun(unit, { ...values, ...set }, HOURS);
      return typeof run === 'string' ? run : { mode, set, run };
    },
    progress,
  );
  if (done === null || typeof done === 'string') return done;
  const rows = done;
  const [always, onDemand] = [rows[0]!.run, rows[1]!.run];
  const c = (celsius: number) => shownCelsius(celsius, display);
  return {
    answer: `${names[advice.mode]}. ${advice.why}`,
    words: [
      advice.other,
      `Over ${HOURS} hours the engine runs ${figure(always.engineHours, 'h')} continuous and ${figure(onDemand.engineHours, 'h')} start-stop with ${figure(onDemand.starts, 'starts', 0)}; start-stop leaves the air standing for ${figure(onDemand.stillHours, 'h')}.`,
      'A change of the set point counts only once it is confirmed; otherwise it reverts. Read it back after the display has gone dark once.',
      'A shutdown stops the engine until its code is cleared, and then it may start at once: write the code down first, hands and guards clear.',
    ],
    tables: [
      {
        id: 'modes',
        title: `A round of ${HOURS} hours, loaded at set point`,
        heads: ['Run mode', 'Engine', 'Starts', 'Return air', 'Load, outside'],
        rows: rows.map(({ mode, set, run }): ToolRow => ({
          id: mode,
          cells: [
            names[mode],
            figure(run.engineHours, 'h'),
            figure(run.starts, '', 0),
            `${c(run.air.min)} to ${c(run.air.max)}`,
            `${c(run.product.min)} to ${c(run.product.max)}`,
          ],
          best: mode === advice.mode,
          values: set,
          why: mode === advice.mode ? advice.why : `wanted although: ${advice.other}`,
        })),
      },
    ],
    caution:
      'The unit starts by itself whenever it is switched on: switch it off and take the key before a guard or door of the unit is opened.',
  };
};
