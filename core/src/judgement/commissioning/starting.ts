import { expectedAmps, HEATER_LESS, HEATER_MORE } from '../../wiring/circuit/index.ts';
import type { UnitLoad } from '../fit/index.ts';
import { spoken, type Facts, type Wording } from './facts.ts';
import type { CommissioningTest, Measure } from './test.ts';

const LIVE = 'Live reading: only by a qualified person, with rated meter and leads. Local codes come first.';

/** Where the probes of a box go. */
const boxProbes = [
  'Air probe in the return air, free of metal.',
  'Coil probe where frost is heaviest, gripped by the fins.',
];
/** Where those of a condenser go. */
export const condenserProbes = [
  'Liquid probe on a clean stretch of the liquid line near the condenser, strapped all round, insulated over.',
  'Outdoor probe in the shade, away from the air that the fans blow.',
];

/** Where the probes of this unit go, by what the control reads and what the unit has. */
function placesOf({ unit, control }: Wording): readonly string[] {
  const [liquid, outdoor] = condenserProbes;
  if (unit.application === 'condenserFans')
    return unit.probes.includes('outdoor') ? [liquid!, outdoor!] : [liquid!];
  if (unit.application === 'chilledWaterTank')
    return ['Probe in a sealed pocket in the water, where it moves.'];
  const coil = unit.probes.includes('coil') && (control.probes ?? []).some((p) => p.role === 'coil');
  return coil ? boxProbes : boxProbes.slice(0, 1);
}

/** Dead checks, power-up and outputs. */
export function startingTests(facts: Facts): readonly CommissioningTest[] {
  const probes = placesOf(facts);
  return [
    ...deadTests(probes),
    ...powerTests(facts, facts.config.compressor.powerOnDelay),
    ...outputTests(facts),
  ];
}

/** What is looked at with the supply off. */
export function deadTests(probes: readonly string[]): readonly CommissioningTest[] {
  return [
    {
      id: 'dead.meter',
      group: 'dead',
      title: 'Dead readings',
      why: 'A wrong wire shows on the ohmmeter before it burns.',
      how: ['Isolate, lock out, prove dead.', 'Take the dead readings of the meter table in Wire.'],
      expect: 'Every dead reading is right.',
      measure: null,
      wait: null,
      caution: 'Run capacitors and drives hold charge after the supply is off.',
    },
    {
      id: 'dead.probes',
      group: 'dead',
      title: 'Probes placed and tight',
      why: 'Half of all complaints are a probe in the wrong place.',
      how: [...probes, 'Leads away from mains.'],
      expect: 'Each sits where the placement guide says.',
      measure: null,
      wait: null,
      caution: null,
    },
  ];
}

/** The first minutes with power; `delay`: seconds from power to the first start. */
export function powerTests(
  { unit, control, readings }: Wording,
  delay: number,
): readonly CommissioningTest[] {
  const supply = control.supply?.[0];
  const tests: CommissioningTest[] = [
    {
      id: 'power.order',
      group: 'power',
      title: 'Power up in order',
      why: 'A condensing unit that starts late trips on low pressure.',
      how: [
        'Ask who else is on the unit, the roof included.',
        'Condensing unit or rack first, then the evaporator, then the control.',
        `Measure the control’s supply${
          readings?.supply
            ? `: ${Math.round(readings.supply.volts)} V between ${readings.supply.between.join(' and ')}`
            : supply
              ? `: ${[supply.volts].flat().join(' to ')} V ${supply.kind.toUpperCase()}`
              : ''
        }.`,
      ],
      expect: 'The display lights and shows a temperature, no fault.',
      measure: null,
      wait: null,
      caution: 'The unit starts by itself from here on: hands out, guards on.',
    },
  ];
  if (delay > 0)
    tests.push({
      id: 'power.delay',
      group: 'power',
      title: 'Start-up delay',
      why: 'After a power cut all units would start at once.',
      how: ['Start the timer as the display lights.', 'Write down when what it switches starts.'],
      expect: `It starts ${spoken(delay)} after power-up, if it calls.`,
      measure: {
        unit: 'min',
        label: 'from power to start',
        least: (0.9 * delay) / 60 - 0.1,
        most: (1.1 * delay) / 60 + 0.5,
      },
      wait: delay,
      caution: null,
    });
  if (unit.compressor === 'pumpDown')
    tests.push({
      id: 'power.pumpDown',
      group: 'power',
      title: 'Pumps down and stays down',
      why: 'A valve that leaks starts the unit over and over, and nothing on this control shows it.',
      how: [
        'Let it cool for five minutes, then end the call: the valve shuts.',
        'Gauge on the suction side; count the starts for ten minutes.',
      ],
      expect:
        'It pumps down within some minutes, stops by its low-pressure switch and starts again at most once.',
      measure: { unit: 'min', label: 'from the valve shut to the stop', least: 0, most: 10 },
      wait: 600,
      caution: null,
    });
  if (unit.compressor === 'rackSolenoid')
    tests.push({
      id: 'power.rack',
      group: 'power',
      title: 'The rack protects its compressors',
      why: 'This control only opens a valve and has no minimum off time of its own.',
      how: ['Ask the rack’s keeper, or read its control.'],
      expect: 'Minimum off time and start limits are in the rack.',
      measure: null,
      wait: null,
      caution: null,
    });
  return tests;
}

const outputs: readonly {
  readonly output: string;
  readonly roles: readonly string[];
  readonly title: string;
  readonly look: string;
}[] = [
  {
    output: 'compressor',
    roles: ['compressor', 'solenoid'],
    title: 'Cooling',
    look: 'It runs, suction line cools within minutes.',
  },
  {
    output: 'fan',
    roles: ['evaporatorFan'],
    title: 'Evaporator fans',
    look: 'All of them turn, and blow the right way.',
  },
  {
    output: 'defrost',
    roles: ['defrostHeater'],
    title: 'Defrost output',
    look: 'The heater draws its amps, or the valve opens.',
  },
  {
    output: 'stage2',
    roles: ['heater', 'compressor'],
    title: 'Second stage',
    look: 'What hangs on it runs, and not against the first.',
  },
  {
    output: 'condenserFan',
    roles: ['condenserFan'],
    title: 'Condenser fans',
    look: 'They turn and blow the right way.',
  },
  { output: 'alarm', roles: ['alarm'], title: 'Alarm relay', look: 'Who is to be called is called.' },
];

/** One relay that is made for a compressor switches a condenser's fans. */
const asFans = { title: 'Fans on the condenser', look: 'They turn and blow the right way.' };

/** Each output alone. */
export function outputTests(facts: Wording): readonly CommissioningTest[] {
  const byRelay = facts.unit.application === 'condenserFans' && !facts.has('condenserFan');
  return outputs
    .filter(({ output }) => facts.has(output) && !(output === 'stage2' && stageUnused(facts)))
    .map(({ output, roles, ...usual }) => {
      const { title, look } = byRelay && output === 'compressor' ? asFans : usual;
      const measure = ampsOf(facts, byRelay && output === 'compressor' ? ['condenserFan'] : roles);
      return {
        id: `outputs.${output}`,
        group: 'outputs' as const,
        title,
        why: 'Each output is tried alone, so that the wrong one is noticed.',
        how: [
          'Call this output alone, loads of the others isolated.',
          measure ? 'Clamp its feed once it has settled.' : 'Watch and listen.',
        ],
        expect: measure
          ? `${look} ${(measure.least! < 0 ? 0 : measure.least!).toFixed(1)} to ${measure.most!.toFixed(1)} A.`
          : look,
        measure,
        wait: null,
        caution: measure ? LIVE : null,
      };
    });
}

/** True where the second stage is set to do nothing: nobody tries what is not used. */
const stageUnused = ({ values }: Wording): boolean =>
  values['stage2.function'] === undefined || values['stage2.function'] === 'none';

/** Amps to be clamped: what the planned circuit draws there, else what the plate says; null where neither is known. */
function ampsOf({ readings, loads }: Wording, roles: readonly string[]): Measure | null {
  const drawn = readings?.loads.filter(({ part }) => roles.includes(part.role)) ?? [];
  const most = drawn.toSorted((a, b) => b.amps - a.amps)[0];
  if (most) {
    const heater = most.part.role === 'defrostHeater' || most.part.role === 'heater';
    return {
      unit: 'A',
      label: 'clamp',
      least: most.amps * (heater ? 1 - HEATER_LESS : 0.4),
      most: most.amps * (heater ? 1 + HEATER_MORE : 1.15),
    };
  }
  const load = loads.find((l) => roles.includes(l.role));
  return load ? ampsMeasure(load) : null;
}

/** Amps of a load from its plate: a heater by its own tolerance, a motor up to its plate amps and well above nothing (common practice). */
function ampsMeasure(load: UnitLoad): Measure | null {
  const volts = load.volts ?? 120;
  const heater = load.role === 'defrostHeater' || load.role === 'heater';
  if (load.watts !== undefined && heater) {
    const { least, most } = expectedAmps({
      watts: load.watts,
      volts,
      connection: load.phases === 3 ? 'star' : 'single',
      elements: 1,
    });
    return { unit: 'A', label: 'clamp', least: least[0]!, most: most[0]! };
  }
  const amps =
    load.amps ??
    (load.watts === undefined ? null : load.watts / volts / (load.phases === 3 ? Math.sqrt(3) : 1));
  if (amps === null) return null;
  return heater
    ? { unit: 'A', label: 'clamp', least: amps * (1 - HEATER_LESS), most: amps * (1 + HEATER_MORE) }
    : { unit: 'A', label: 'clamp', least: 0.4 * amps, most: 1.15 * amps };
}
