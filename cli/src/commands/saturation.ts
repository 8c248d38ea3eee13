import {
  fluidNamed,
  estimates,
  fluids,
  gaugeOf,
  isOutOfRange,
  KPA_PER_PSI,
  pressureAt,
  type Fluid,
  type Side,
} from '@brine/core/foundation/refrigerants';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { numberOption, quantityOption } from '../quantityOptions.ts';

export const saturation: Command = {
  name: 'saturation',
  usage: 'brine saturation R-134a --at 25C [--elevation METRES]',
  summary: 'bubble and dew pressure of a refrigerant at a temperature',
  shape: { options: ['at', 'elevation'], flags: [] },
  run(args) {
    const name = args.positional.join(' ');
    const fluid = fluidNamed(name);
    if (!fluid) {
      const why = name === '' ? 'expected a refrigerant' : 'no such refrigerant here';
      const known = [...fluids, ...estimates].map((f) => f.id).join(', ');
      throw new Refusal(`saturation: ${name}: ${why}; expected one of ${known}`);
    }
    const celsius = quantityOption(args, 'at', 'temperature');
    if (celsius === undefined) throw new Refusal('--at: expected a temperature such as 25C or 40F');
    const metres = numberOption(args, 'elevation') ?? 0;
    if (metres < -500 || metres > 9000)
      throw new Refusal(`--elevation: ${metres}: expected −500 to 9000 metres`);
    return {
      json: {
        refrigerant: fluid.id,
        degC: celsius,
        bubble: side(fluid, celsius, 'bubble', metres),
        dew: side(fluid, celsius, 'dew', metres),
        source: fluid.source,
        errorPercent: fluid.errorPercent,
        estimate: fluid.mixture ? { errorPercent: fluid.errorPercent } : null,
      },
    };
  },
};

function side(fluid: Fluid, celsius: number, which: Side, metres: number) {
  const absolute = pressureAt(fluid, celsius, which);
  if (isOutOfRange(absolute)) throw new Refusal(`--at: ${absolute.outOfRange}`);
  const gauge = gaugeOf(absolute, metres);
  return { absolute_kPa: absolute, gauge_kPa: gauge, gauge_psi: gauge / KPA_PER_PSI };
}
