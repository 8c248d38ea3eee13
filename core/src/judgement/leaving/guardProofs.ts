import { quantity } from '../../foundation/quantities/index.ts';
import { airProbe, type Borrowed } from './borrowed.ts';
import {
  phase,
  wayOf,
  type Making,
  type Proof,
  type ProofPhase,
  type ProofWay,
  everything,
  theUnit,
} from './proof.ts';
import { byHand, sure, type Span } from './span.ts';

const INTO_WATER = 60;
const INTO_SALT = 120;
const READ_ALARM = 60;
const KEY_VALUE = 60;
/** A delay is shortened to this, where it is worth it: s. */
const SHORT_DELAY = 120;
const WORTH_SHORTENING = 600;

const shortDelay: Borrowed = { kind: 'value', setting: 'alarms.delay', to: quantity(SHORT_DELAY, 's') };
const noExclusion: Borrowed = { kind: 'value', setting: 'alarms.powerOnExclusion', to: quantity(0, 's') };

/** Alarms, door and failing probes. */
export function guardProofs(making: Making): readonly Proof[] {
  return [...alarmProofs(making), ...doorProof(making), ...probeProofs(making)];
}

function alarmProofs(making: Making): readonly Proof[] {
  const { config, has, titleOf } = making;
  if (!config) return [];
  const relay = has('outputs.alarm') ? ['outputs.alarm'] : [];
  return (['high', 'low'] as const).flatMap((side): readonly Proof[] => {
    const id = `alarms.${side}`;
    if (!has(id)) return [];
    const { delay } = config.alarms;
    // A relay that calls is tried by the alarm that comes first.
    const tests = [id, ...(side === 'high' || !has('alarms.high') ? relay : [])];
    const excluded = Math.max(0, config.alarms.powerOnExclusion - (making.powered ?? 0));
    const counts = alarmCounts(making, side);
    const ways: ProofWay[] = [wayOf(tests, alarmPhases(id, side, delay), notBefore(counts, excluded))];
    const moved = [
      ...(excluded > 0 && making.canMove('alarms.powerOnExclusion', 0) ? [noExclusion] : []),
      ...(delay >= WORTH_SHORTENING && making.canMove('alarms.delay', SHORT_DELAY) ? [shortDelay] : []),
    ];
    if (moved.length > 0)
      ways.push(
        wayOf(
          tests,
          [
            ...moved.map((one) => phase(movedWords(one), byHand(KEY_VALUE), ['hands'], { lends: one })),
            ...alarmPhases(id, side, moved.includes(shortDelay) ? SHORT_DELAY : delay),
            ...moved.map((one) => phase(backWords(one), byHand(KEY_VALUE), ['hands'], { returns: one })),
          ],
          notBefore(counts, moved.includes(noExclusion) ? 0 : excluded),
        ),
      );
    return [{ id, title: titleOf(id), ways, after: [] }];
  });
}

const alarmPhases = (id: string, side: 'high' | 'low', delay: number): readonly ProofPhase[] => [
  phase(
    side === 'high' ? 'Air probe into warm water' : 'Air probe into ice and salt',
    byHand(side === 'high' ? INTO_WATER : INTO_SALT),
    ['hands', 'probe'],
    { lends: airProbe },
  ),
  phase('The alarm delay passes', alarmDelay(delay), ['probe'], { test: id, until: 'alarm' }),
  phase('See its code, hang the probe back', byHand(READ_ALARM), ['hands', 'probe'], { returns: airProbe }),
];

/** It counts from where the probe passes the limit, on its way into the water or soon after. */
const alarmDelay = (delay: number): Span => ({
  early: delay - 1.5 * INTO_WATER,
  likely: Math.max(0, delay - 0.75 * INTO_WATER),
  late: delay + INTO_WATER / 2,
});

const movedWords = (one: Borrowed): string =>
  one === shortDelay
    ? `Move the alarm delay to ${SHORT_DELAY / 60} min`
    : 'Move what is left out after power-up to 0';
const backWords = (one: Borrowed): string =>
  `${one === shortDelay ? 'Alarm delay' : 'What is left out after power-up'} back, read it back`;

const notBefore = ({ early, likely, late }: Span, least: number): Span => ({
  early: Math.max(early, least),
  likely: Math.max(likely, least),
  late: Math.max(late, least),
});

/** From when on the warm alarm can be seen to come by itself: once the air is below its limit. */
function alarmCounts({ config, forecast, air }: Making, side: 'high' | 'low'): Span {
  const { alarms, setpoint } = config!;
  if (side === 'low' || alarms.high === null || air.regulates || !forecast) return sure(0);
  const limit = alarms.reference === 'relative' ? setpoint + alarms.high : alarms.high;
  const below = (box: 'quick' | 'likely' | 'slow') =>
    60 * ((forecast.air.find((point) => point[box] < limit) ?? forecast.air.at(-1))?.minutes ?? 0);
  return { early: below('quick'), likely: below('likely'), late: below('slow') };
}

function doorProof({ config, has, titleOf }: Making): readonly Proof[] {
  const id = 'door.contact';
  if (!has(id)) return [];
  const delay = config?.alarms.doorDelay ?? 0;
  return [
    {
      id,
      title: titleOf(id),
      ways: [
        wayOf(
          [id],
          [
            phase('Open the door, watch the fans', byHand(30), everything),
            ...(delay > 0
              ? [
                  phase('It stands open until the alarm comes', sure(delay), theUnit, {
                    test: id,
                  }),
                ]
              : []),
            phase('Shut it, watch the fans', byHand(30), everything),
          ],
        ),
      ],
      after: [],
    },
  ];
}

function probeProofs({ has, titleOf }: Making): readonly Proof[] {
  return (['probes.air', 'probes.coil', 'probes.liquid', 'probes.outdoor'] as const)
    .filter(has)
    .map((id) => ({
      id,
      title: titleOf(id),
      ways: [wayOf([id], [phase('Pull one wire, look, put it back', byHand(120), everything)])],
      after: [],
    }));
}
