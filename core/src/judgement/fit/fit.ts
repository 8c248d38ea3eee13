import { asOneRelayFans } from '../condenserFans/index.ts';
import { plan } from '../plan/index.ts';
import { probeRoleNames } from '../../foundation/unit/index.ts';
import { withImplied, withoutUnsaid } from '../../controllers/builtIn/index.ts';
import { encode, isDangerousLoss } from '../../controllers/translate/index.ts';
import { isCombined, type ControllerDefinition, type Relay } from '../../controllers/definitions/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import { COIL_VA, contactorFrame, relayFor, tooWeak } from '../../wiring/suitability/index.ts';
import { takes } from '../../wiring/conversion/index.ts';
import { bridgeCosts, type Bridge, type Gap } from './gap.ts';
import { machineGaps } from './machineGaps.ts';
import type { OutputNeed, UnitNeeds } from './needs.ts';
import { rangeGaps } from './rangeGaps.ts';

/** How a control fits: as it is (jumpers aside), with something between, or not at all. */
export type Verdict = 'fits' | 'bridged' | 'cannot';

/** One control of the library against a unit. */
export interface Fit {
  readonly id: string;
  readonly family: string;
  readonly rank: number;
  readonly verdict: Verdict;
  /** 100 for a control that lacks nothing; below 0 only ever with `cannot`. */
  readonly score: number;
  readonly gaps: readonly Gap[];
  readonly relays: readonly RelayFit[];
  /** Planned values that this control cannot hold. */
  readonly lost: readonly { readonly setting: SettingId; readonly reason: string }[];
  /** Planned values of which nobody stated whether this control holds them. */
  readonly notStated: readonly SettingId[];
}

/** A relay with what it would carry. */
export interface RelayFit {
  readonly output: string;
  readonly relay: string | null;
  readonly amps: number | null;
  readonly resistiveAmps: number | null;
  readonly motorFullLoadAmps: number | null;
  readonly motorLockedRotorAmps: number | null;
  readonly strongEnough: boolean | null;
}

/** Points off for a planned value that cannot be held or of which nobody stated it (more where it is lost and protects compressor or goods), and for a relay that stays empty. */
const LOST_COST = 0.5;
const GRAVE_COST = 3;
const IDLE_COST = 0.3;
const CANNOT_COST = 1000;

/** Every control ranked for a unit: those that fit first, then those that can be bridged, by what the bridges cost. */
export function fit(needs: UnitNeeds, library: readonly ControllerDefinition[]): readonly Fit[] {
  const judged = library.map((definition) =>
    judge(needs, definition, withImplied(definition, { 'defrost.method': needs.unit.defrostMethod })),
  );
  const sorted = judged.sort((a, b) => b.score - a.score || a.family.localeCompare(b.family));
  return sorted.map((one, i) => ({ ...one, rank: i + 1 }));
}

/** One control; `written` is the definition without what it implies. */
function judge(
  needs: UnitNeeds,
  written: ControllerDefinition,
  definition: ControllerDefinition,
): Omit<Fit, 'rank'> {
  const { outputs } = needs;
  const gaps = [
    ...supplyGaps(needs, definition),
    ...(definition.relays === undefined
      ? [notStated('relays', 'its relays', 'what each relay drives, and what it may carry')]
      : outputs.flatMap((need) => outputGaps(needs, definition, need))),
    ...machineGaps(needs, definition),
    ...methodGaps(needs, definition),
    ...(definition.probes === undefined
      ? [notStated('probes', 'its probe inputs', 'which probes it takes, and of which type')]
      : probeGaps(needs, definition)),
    ...inputGaps(needs, definition),
    ...rangeGaps(needs, definition),
    ...commonGaps(definition, outputs),
  ];
  const cannot = gaps.some((gap) => gap.bridge === null);
  const { lost, notStated: unsaid } = withoutUnsaid(cannot ? [] : lostValues(needs, definition), written);
  const idle = (definition.relays ?? []).filter((relay) => !outputs.some((o) => o.output === relay.drives));
  const costs =
    gaps.reduce((sum, gap) => sum + (gap.bridge ? bridgeCosts[gap.bridge.kind] : CANNOT_COST), 0) +
    lost.reduce((sum, l) => sum + (isDangerousLoss(l.setting) ? GRAVE_COST : LOST_COST), 0) +
    unsaid.length * LOST_COST +
    idle.length * IDLE_COST;
  return {
    id: definition.id,
    family: definition.family,
    verdict: cannot ? 'cannot' : gaps.some((gap) => gap.bridge!.kind !== 'jumper') ? 'bridged' : 'fits',
    score: Math.round((100 - costs) * 10) / 10,
    gaps,
    relays: outputs.map((need) => relayFit(definition, need)),
    lost,
    notStated: unsaid,
  };
}

/** What was never written down of a control is asked, not taken for missing. */
function notStated(need: string, what: string, ask: string): Gap {
  return {
    need,
    lacks: `not stated: ${what}`,
    bridge: { kind: 'ask', words: `Say in its connections ${ask}.` },
  };
}

function supplyGaps(needs: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  if (definition.supply === undefined)
    return [notStated('supply', 'its supply', 'on which volts it runs, and at which terminals')];
  const entries = definition.supply;
  if (needs.volts.length === 0 || entries.length === 0) return [];
  const kind = needs.dc ? 'dc' : 'ac';
  const alike = entries.filter((entry) => entry.kind === kind);
  if (alike.some((entry) => needs.volts.some((v) => takes(entry, v)))) return [];
  const offered = needs.volts.map((v) => `${v} V`).join(' or ');
  const wanted = entries
    .map((e) => `${[e.volts].flat().join(' to ')} V ${e.kind.toUpperCase()}`)
    .join(' or ');
  const lacks = `takes ${wanted}; the cabinet has ${offered} ${kind.toUpperCase()}`;
  const bridge: Bridge | null =
    alike.length === 0 || needs.dc
      ? null
      : { kind: 'transformer', words: transformerWords(alike[0]!.volts, needs.volts) };
  return [{ need: 'supply', lacks, bridge }];
}

/** As it is planned in Wire: a transformer on the cabinet's own feed, so that one lock-out takes both. */
function transformerWords(volts: number | readonly number[], offered: readonly number[]): string {
  return `A transformer from ${offered[0]} V to ${[volts].flat()[0]} V for the control alone.`;
}

function outputGaps(needs: UnitNeeds, definition: ControllerDefinition, need: OutputNeed): readonly Gap[] {
  const relay = relayFor(definition, need.output);
  if (!relay)
    return [
      {
        need: `${need.output} relay`,
        lacks: `has no relay for ${need.output}`,
        bridge: without(needs, definition, need),
      },
    ];
  if (need.threePhase)
    return [
      {
        need: `${need.output} relay`,
        lacks: 'one contact cannot switch three phases',
        bridge: contactorBridge(needs, need),
      },
    ];
  const weak = need.demand ? tooWeak(relay, need.demand) : null;
  if (weak === null) return [];
  const other = strongerRelay(definition, relay, need);
  return [
    {
      need: `${need.output} relay`,
      lacks: weak,
      bridge: other ?? contactorBridge(needs, need),
    },
  ];
}

/** A relay of another size may take the job only where the control lets its duties be changed; the definition says so. */
function strongerRelay(definition: ControllerDefinition, relay: Relay, need: OutputNeed): Bridge | null {
  const swappable = definition.relayDutiesFree === true;
  const other = swappable
    ? definition.relays?.find((r) => r !== relay && need.demand && tooWeak(r, need.demand) === null)
    : undefined;
  return other
    ? {
        kind: 'otherRelay',
        words: `Give the job to the larger relay ${other.terminals?.common ?? other.id}.`,
      }
    : null;
}

function contactorBridge(needs: UnitNeeds, need: OutputNeed): Bridge {
  const volts = needs.volts[0] ?? 120;
  const frame = need.demand ? contactorFrame(need.demand) : 20;
  return {
    kind: 'contactor',
    words: `A contactor of ${frame} A a pole, ${need.threePhase ? 'three poles, ' : ''}coil ${volts} V, between the relay and the load.`,
    coil: { volts, amps: Math.round((COIL_VA / volts) * 1000) / 1000 },
    frameAmps: frame,
  };
}

/** What can stand in for a relay that is not there. */
function without(needs: UnitNeeds, definition: ControllerDefinition, need: OutputNeed): Bridge | null {
  if (need.output !== 'fan') return null;
  const heated = needs.unit.defrostMethod === 'electric' || needs.unit.defrostMethod === 'hotGas';
  if (!heated)
    return {
      kind: 'leaveAlwaysOn',
      words: 'The fan stays on its feed and always runs, which an off-cycle defrost wants anyway.',
    };
  const defrost = relayFor(definition, 'defrost');
  if (defrost?.terminals?.normallyClosed !== undefined)
    return {
      kind: 'breakContact',
      words: `The fan goes on ${defrost.terminals.normallyClosed}, the break contact of the defrost relay: off in defrost, without a delay after it.`,
    };
  return {
    kind: 'otherRelay',
    words:
      'A small relay with its coil on the defrost output, its break contact in the fan line: off in defrost, without a delay after it.',
  };
}

function methodGaps(needs: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  const action = meaningsOf(definition, 'regulation.action');
  const heats = needs.unit.application === 'hotCupboard';
  const gaps: Gap[] = [];
  if (heats && action !== null && !action.includes('heat'))
    gaps.push({ need: 'heating', lacks: 'only cools', bridge: null });
  const methods = meaningsOf(definition, 'defrost.method');
  const method = needs.unit.defrostMethod;
  if (methods === null || method === 'none' || methods.includes(method)) return gaps;
  if (method === 'offCycle')
    return [
      ...gaps,
      methods.includes('electric')
        ? {
            need: 'off-cycle defrost',
            lacks: `knows only ${methods.map((m) => methodWords[m] ?? m).join(', ')}`,
            bridge: {
              kind: 'leaveEmpty',
              words:
                'Its defrost relay stays empty: the compressor is off while the control believes that it heats.',
            },
          }
        : {
            need: 'off-cycle defrost',
            lacks: `knows only ${methods.map((m) => methodWords[m] ?? m).join(', ')}`,
            bridge: {
              kind: 'clearsInRests',
              words:
                'It counts no defrost: the coil clears in the off-cycles while its fan runs, as long as cut-in stands well above freezing; else a time clock in the compressor’s line.',
            },
          },
    ];
  return [
    ...gaps,
    {
      need: `${methodWords[method] ?? method} defrost`,
      lacks: `knows only ${methods.map((m) => methodWords[m] ?? m).join(', ')}`,
      bridge: null,
    },
  ];
}

const methodWords: Readonly<Record<string, string>> = {
  none: 'none',
  offCycle: 'off-cycle',
  electric: 'electric',
  hotGas: 'hot gas',
};

/** What a control can be told for a setting: fixed, or the meanings of its options; null where it says nothing of it. */
function meaningsOf(definition: ControllerDefinition, setting: SettingId): readonly string[] | null {
  const fixed = definition.fixed?.[setting];
  if (fixed !== undefined) return [String(fixed)];
  const found: string[] = [];
  for (const parameter of definition.parameters) {
    if (parameter.encoding.type !== 'choice') continue;
    for (const option of parameter.encoding.options) {
      if (parameter.setting === setting && !isCombined(option.means)) found.push(String(option.means));
      else if (isCombined(option.means) && option.means[setting] !== undefined)
        found.push(String(option.means[setting]));
    }
  }
  return found.length > 0 ? found : null;
}

function probeGaps(needs: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  const has = new Set((definition.probes ?? []).map((p) => p.role));
  const heated = needs.unit.defrostMethod === 'electric' || needs.unit.defrostMethod === 'hotGas';
  const gaps = needs.probes.flatMap((role): Gap[] => {
    if (has.has(role) || (role === 'air' && has.has('liquid')) || (role === 'liquid' && has.has('air')))
      return [];
    const lacks = `has no input for the ${probeRoleNames[role].toLowerCase()} probe`;
    if (role === 'air' || role === 'liquid') return [{ need: `${role} probe`, lacks, bridge: null }];
    if (role === 'coil')
      return [
        {
          need: 'coil probe',
          lacks,
          bridge: heated
            ? {
                kind: 'timeOnly',
                words:
                  'Time alone ends the defrost; the heater limit has to stay, and the time has to be short.',
              }
            : { kind: 'timeOnly', words: 'Time alone ends the off-cycle defrost.' },
        },
      ];
    return [
      {
        need: `${probeRoleNames[role].toLowerCase()} probe`,
        lacks,
        bridge: { kind: 'separateInstrument', words: 'A thermometer or logger of its own reads it.' },
      },
    ];
  });
  const types = new Set((definition.probes ?? []).flatMap((p) => p.types));
  const odd = needs.probeTypes.filter((type) => types.size > 0 && !types.has(type));
  if (odd.length === 0) return gaps;
  return [
    ...gaps,
    {
      need: `probes of type ${odd.join(', ')}`,
      lacks: `reads ${[...types].join(', ')}`,
      bridge: {
        kind: 'probeExchange',
        words: 'The probes that come with the control go in; the old ones come out.',
      },
    },
  ];
}

function inputGaps(needs: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  const gaps: Gap[] = [];
  if (needs.door && !(definition.inputs ?? []).some((input) => input.roles?.includes('door')))
    gaps.push({
      need: 'door input',
      lacks: 'has no input for the door contact',
      bridge: {
        kind: 'doorInFanLine',
        words: 'The door contact goes in series with the fan, if it is rated for it.',
      },
    });
  if (needs.bus && definition.bus === undefined)
    gaps.push({
      need: 'bus',
      lacks: 'has no bus',
      bridge: { kind: 'separateInstrument', words: 'A logger of its own reports instead.' },
    });
  return gaps;
}

function commonGaps(definition: ControllerDefinition, outputs: readonly OutputNeed[]): readonly Gap[] {
  const used = outputs.flatMap((need) => relayFor(definition, need.output) ?? []);
  const dry = used.filter((relay) => relay.commonFedInternally !== true);
  if (dry.length === 0) return [];
  const names = dry.map((relay) => relay.terminals?.common ?? relay.id);
  const unknown = dry.filter((relay) => relay.commonFedInternally === 'unknown');
  return [
    {
      need: 'fed commons',
      lacks: `${names.join(', ')} ${names.length > 1 ? 'are' : 'is'} dry${unknown.length > 0 ? ' as far as known' : ''}`,
      bridge: {
        kind: 'jumper',
        words: `${names.length === 1 ? 'One jumper' : `${names.length} jumpers`} from the hot to ${names.join(', ')}${unknown.length > 0 ? '; read whether they are fed inside first' : ''}.`,
      },
    },
  ];
}

function relayFit(definition: ControllerDefinition, need: OutputNeed): RelayFit {
  const relay = relayFor(definition, need.output);
  const ratings = (relay?.ratings ?? {}) as Record<string, number | undefined>;
  return {
    output: need.output,
    relay: relay?.terminals?.normallyOpen ?? relay?.id ?? null,
    amps: need.demand?.amps ?? null,
    resistiveAmps: ratings['resistiveAmps'] ?? null,
    motorFullLoadAmps: ratings['motorFullLoadAmps'] ?? null,
    motorLockedRotorAmps: ratings['motorLockedRotorAmps'] ?? null,
    strongEnough: relay && need.demand ? tooWeak(relay, need.demand) === null : null,
  };
}

function lostValues(needs: UnitNeeds, definition: ControllerDefinition): Fit['lost'] {
  const values = Object.fromEntries(
    plan(needs.unit).settings.map((s) => [s.setting, s.value]),
  ) as SettingValues;
  // A plain thermostat that switches fans goes by its own set point: what is carried over is not lost.
  return encode(asOneRelayFans(values, needs.unit, definition), definition).lost;
}
