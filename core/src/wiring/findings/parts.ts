import {
  highestVolts,
  isFed,
  openVolts,
  partAmps,
  partVolts,
  settle,
  isSettled,
  type Settled,
  type Groups,
} from '../solver/index.ts';
import { motorRoles } from '../circuit/index.ts';
import { overRating } from '../suitability/index.ts';
import { isEnergised } from '../report/index.ts';
import { contactEnds, nameOf, type Part } from '../circuit/index.ts';
import { amps, figure, finding, volts, type WiringFinding } from './finding.ts';

const OVER = 1.1;
const UNDER = 0.85;
/** Below this share of its rated volts a consumer is simply off. */
export const OFF = 0.1;

/** Volts that a load, a coil or a control is made for; null for a part that takes none. */
export function ratedVolts(part: Part): number | null {
  switch (part.kind) {
    case 'load':
    case 'control':
      return part.ratedVolts;
    case 'contactor':
      return part.coilVolts;
    default:
      return null;
  }
}

/** overVoltage and underVoltage: a load, coil or control over 110 %, or between 10 and 85 %, of what it is made for. */
export function wrongVoltage(s: Settled): readonly WiringFinding[] {
  return s.network.parts.flatMap(({ part, index }) => {
    const rated = ratedVolts(part);
    if (rated === null) return [];
    const high = highestVolts(s, index);
    const low = partVolts(s, index);
    if (high > OVER * rated)
      return [
        finding(
          'overVoltage',
          s.asked.state,
          [part.id],
          `${nameOf(part)} gets ${volts(high)} in state ${s.asked.state}; it is made for ${rated} V.`,
          { volts: figure(high), ratedVolts: rated },
        ),
      ];
    if (low < UNDER * rated && low >= OFF * rated)
      return [
        finding(
          'underVoltage',
          s.asked.state,
          [part.id],
          `${nameOf(part)} gets only ${volts(low)} in state ${s.asked.state}; it is made for ${rated} V.`,
          { volts: figure(low), ratedVolts: rated },
        ),
      ];
    return [];
  });
}

/** heaterWithCompressor: the defrost heater and the compressor work at the same time. */
export function heaterWithCompressor(s: Settled): readonly WiringFinding[] {
  const on = (role: string) =>
    s.network.parts.filter(
      ({ part, index }) => part.kind === 'load' && part.role === role && isEnergised(s, index),
    );
  const heaters = on('defrostHeater');
  const compressors = on('compressor');
  if (heaters.length === 0 || compressors.length === 0) return [];
  const ids = [...heaters, ...compressors].map(({ part }) => part.id);
  return [
    finding(
      'heaterWithCompressor',
      s.asked.state,
      ids,
      `${ids.join(' and ')} work together in state ${s.asked.state}: the heater warms what the compressor cools.`,
    ),
  ];
}

/** commonNotFed: a contact is driven on and neither its common nor the closed throw hangs on a supply. */
export function commonNotFed(s: Settled, groups: Groups): readonly WiringFinding[] {
  return s.network.parts.flatMap(({ part, index, nodes }) => {
    if (part.kind !== 'contact' || !s.driven.has(index)) return [];
    const ends = contactEnds(part);
    const at = (terminal: string) => nodes[part.terminals.indexOf(terminal)]!;
    const closed = ends.no === null ? [at(ends.com)] : [at(ends.com), at(ends.no)];
    if (closed.some((node) => isFed(groups, node))) return [];
    const label = part.labels?.[ends.com] ?? `${part.id}.${ends.com}`;
    return [
      finding(
        'commonNotFed',
        s.asked.state,
        [part.id],
        `${nameOf(part)} closes in state ${s.asked.state}, but nothing feeds its common ${label}: it is a dry contact, and the jumper from the hot is missing.`,
      ),
    ];
  });
}

/** contactOverload: more amps than the contact may carry; for motors the full load rating, and the locked rotor amps where known. */
export function contactOverload(s: Settled): readonly WiringFinding[] {
  return s.network.parts.flatMap(({ part, index }) => {
    if ((part.kind !== 'contact' && part.kind !== 'contactor') || !part.ratings) return [];
    const current = part.kind === 'contact' ? partAmps(s, index) : poleAmps(s, index);
    if (current < 0.01) return [];
    const motors = motorsBehind(s, index);
    const over = overRating(part.ratings, {
      amps: current,
      motor: motors.length > 0,
      lockedRotorAmps: Math.max(0, ...motors.map((m) => m.lockedRotorAmps ?? 0)),
    });
    if (!over) return [];
    return [
      finding(
        'contactOverload',
        s.asked.state,
        [part.id, ...motors.map((m) => m.id)],
        over.kind === 'lockedRotor'
          ? `${nameOf(part)} starts a motor of ${over.amps} A locked rotor; it may make ${over.limit} A. Put a contactor between.`
          : `${nameOf(part)} carries ${amps(current)} in state ${s.asked.state}; its ${over.kind} rating is ${over.limit} A. Put a contactor between.`,
        { amps: over.kind === 'lockedRotor' ? over.amps : figure(current), ratedAmps: over.limit },
      ),
    ];
  });
}

/** Motors whose current this contact carries: they stop when it is held open while every contactor is held in. */
function motorsBehind(s: Settled, index: number) {
  const contactors = [...s.contactorIn].map((at) => [at, 'made'] as const);
  const held = settle(s.network, s.asked, {
    ...s.effect,
    stuck: new Map<number, 'made' | 'rest'>([...contactors, [index, 'rest']]),
  });
  if (!isSettled(held)) return [];
  return s.network.parts.flatMap(({ part, index: load }) =>
    part.kind === 'load' && motorRoles.has(part.role) && isEnergised(s, load) && !isEnergised(held, load)
      ? [part]
      : [],
  );
}

function poleAmps(s: Settled, index: number): number {
  const { branch, count } = s.network.parts[index]!;
  let most = 0;
  for (let i = branch + 1; i < branch + count; i += 1) {
    const { a, b } = s.network.branches[i]!;
    most = Math.max(most, openVolts(s, a, b) * s.yRe[i]!);
  }
  return most;
}

/** controlOnSwitchedSide: a control is dead in this state, and lives again when an open switch is taken as closed. */
export function controlOnSwitchedSide(s: Settled): readonly WiringFinding[] {
  const open = s.network.parts.filter(({ part, branch }) => part.kind === 'switch' && s.yRe[branch]! < 1);
  if (open.length === 0) return [];
  return s.network.parts.flatMap(({ part, index }) => {
    if (part.kind !== 'control' || s.controlOn.has(index)) return [];
    const lives = (switches: readonly number[]) => {
      const again = settle(s.network, { ...s.asked, closeSwitches: new Set(switches) }, s.effect);
      return isSettled(again) && again.controlOn.has(index);
    };
    const one = open.find((placed) => lives([placed.index]));
    const guilty = one ? [one] : lives(open.map((placed) => placed.index)) ? open : [];
    if (guilty.length === 0) return [];
    const names = guilty.map((placed) => placed.part.id);
    return [
      finding(
        'controlOnSwitchedSide',
        s.asked.state,
        [part.id, ...names],
        `${nameOf(part)} goes dead in state ${s.asked.state} because ${names.join(' and ')} ${names.length > 1 ? 'are' : 'is'} open. Take its supply from the unswitched side.`,
      ),
    ];
  });
}
