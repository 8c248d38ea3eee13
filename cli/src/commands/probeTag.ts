import { checkTag } from '@brine/core/judgement/calibration';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { numberOption, rangeOption } from '../quantityOptions.ts';

export const probeTag: Command = {
  name: 'probe tag',
  usage: 'brine probe tag --slope 10.079 --offset 0.31 [--slope-range 9.5..10.5] [--offset-range 0.1..0.6]',
  summary: 'whether the numbers of a sensor’s tag can be right',
  shape: {
    options: ['slope', 'offset', 'slope-range', 'offset-range', 'present-slope', 'present-offset'],
    flags: [],
  },
  run(args) {
    const [slope, offset] = [numberOption(args, 'slope'), numberOption(args, 'offset')];
    if (slope === undefined || offset === undefined)
      throw new Refusal('--slope and --offset: expected both numbers of the tag');
    const some = <Value>(name: 'slope' | 'offset', value: Value | undefined) =>
      value === undefined ? {} : { [name]: value };
    const findings = checkTag({
      slope,
      offset,
      ranges: {
        ...some('slope', rangeOption(args, 'slope-range')),
        ...some('offset', rangeOption(args, 'offset-range')),
      },
      present: {
        ...some('slope', numberOption(args, 'present-slope')),
        ...some('offset', numberOption(args, 'present-offset')),
      },
    });
    return { json: { findings } };
  },
};
