import { plan, valuesOf } from '@brine/core/judgement/plan';
import type { UnitDescription } from '@brine/core/foundation/unit';
import { runCondenser } from '@brine/core/machines/condenser';
import { engineAtRest, engineOf, tickEngine } from '@brine/core/machines/engine';
import { fansOf } from '@brine/core/machines/condenser';
import { simulate } from '@brine/core/machines/simulation';
import { unitScenario } from '@brine/core/judgement/tuning';
import { twoFanCondenser } from '../../core/testing/condensers.ts';

interface Bench {
  readonly least: (work: () => unknown, times?: number, inner?: number) => number;
  readonly line: (name: string, work: number, against: number, what: string) => void;
}

const unit = (more: Partial<UnitDescription>): UnitDescription => ({
  format: 'brine-dial/unit@1',
  application: 'walkInCooler',
  goods: 'dairy',
  defrostMethod: 'offCycle',
  probes: ['air', 'coil'],
  ...more,
});

/** The other machines, each a day second by second, against a day of the refrigerated box under its control. */
export function benchKinds({ least, line }: Bench): void {
  const cooler = unit({});
  const scenario = unitScenario(cooler, valuesOf(plan(cooler)), { warmUpHours: 0 });
  if (typeof scenario === 'string') throw new Error(scenario);
  const box = least(() => simulate(scenario), 3, 1);
  const fans = fansOf(
    valuesOf(
      plan(
        unit({ application: 'condenserFans', goods: 'nothing', defrostMethod: 'none', probes: ['liquid'] }),
      ),
    ),
  )!;
  const condenser = least(
    () =>
      runCondenser({
        config: fans,
        plant: twoFanCondenser,
        outdoor: { low: 6, high: 18 },
        hours: 24,
        warmUpHours: 0,
      }),
    3,
    1,
  );
  const engine = engineOf(valuesOf(plan(unit({ application: 'transportUnit', defrostMethod: 'hotGas' }))));
  if (typeof engine === 'string') throw new Error(engine);
  const round = least(
    () => {
      const state = engineAtRest(engine.setpoint);
      for (let t = 0; t < 86400; t += 1)
        tickEngine(engine, state, { air: engine.setpoint + 3 * Math.sin(t / 900), commands: [] }, () => {});
    },
    3,
    1,
  );
  line('a condenser and its fans, a day', condenser, box, 'a day of the refrigerated box');
  line('a transport unit’s engine, a day', round, box, 'a day of the refrigerated box');
}
