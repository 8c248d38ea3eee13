import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import {
  CIRCUIT_FORMAT,
  contactEnds,
  nameOf,
  type Circuit,
  type ContactPart,
  type Part,
} from '../circuit/index.ts';
import { findingsOf } from '../findings/index.ts';
import { isSettled, networkOf, statesOf } from '../solver/index.ts';
import { oldDeviceOf, type Consumer } from './consumers.ts';
import type { Feed } from './feeds.ts';
import { groupConsumers } from './grouping.ts';
import { placeControl } from './placeControl.ts';
import { placeRelays } from './placeRelays.ts';
import type { ConversionPlan, RelayUse } from './plan.ts';
import { planStates } from './planStates.ts';
import { placeProbes } from './probes.ts';
import { sized } from './sized.ts';
import type { SupplyChoice } from './supply.ts';
import { traceOf } from './trace.ts';
import { STRIP_MM, Work } from './work.ts';

/** What was put into the draft. */
interface Placed {
  readonly relays: readonly RelayUse[];
  readonly supply: SupplyChoice | null;
}

/**
 * Plans the change from a circuit as found to a new control: the old device out, its feed to the new supply terminals and commons, each
 * load's lead to the relay that fits, jumpers where a common is dry, a contactor where a relay is too weak. Switches in a load's own line,
 * safety switches above all, are never touched. Pure: the circuit as found stays as it is. One draft is changed in an order that matters:
 * control, relays, contactors, leads, probes.
 */
export function convert(found: Circuit, definition: ControllerDefinition): ConversionPlan {
  const trace = traceOf(found);
  const work = new Work(found, definition, trace, oldDeviceOf(trace));
  return planOf(work, place(work));
}

/** Puts the new control into the draft; says what stands in the way where it cannot. */
function place(work: Work): Placed {
  const none: Placed = { relays: [], supply: null };
  const wanted = new Set((work.definition.relays ?? []).map((relay) => relay.drives));
  const { consumers, problems, notes } = groupConsumers(work.trace, work.old, wanted, work.definition.family);
  work.problems.push(...problems);
  work.notes.push(...notes);
  if (consumers.length === 0) {
    work.problems.push(
      'No load was found that this control could switch: trace the wire of the compressor first.',
    );
    return none;
  }
  for (const { part } of consumers)
    if (part.kind === 'load' && part.terminals.length === 3)
      work.problems.push(
        `${nameOf(part)} has three phases and no contactor: plan a contactor of three poles by hand, its coil on the relay.`,
      );
  const feed = primaryFeed(work, consumers);
  if (!feed) {
    work.problems.push('No live conductor reaches the old control: trace its feed to a supply first.');
    return none;
  }
  bridgeOld(work);
  const control = placeControl(work, feed, consumers);
  const relays = placeRelays(work, control, feed, consumers);
  work.notes.push(
    ...placeProbes({
      draft: work.draft,
      definition: work.definition,
      controlId: control.id,
      trace: work.trace,
      old: work.old,
      reuse: [...work.probeWires].filter((i) => i >= 0),
      stripMm: STRIP_MM,
    }),
  );
  work.draft.dropLoose();
  return { relays, supply: control.supply };
}

function planOf(work: Work, { relays, supply }: Placed): ConversionPlan {
  const { found, old, draft, problems, notes } = work;
  const bare: Circuit = {
    ...found,
    format: CIRCUIT_FORMAT,
    summary: `${work.definition.family} in the place of ${oldName(work)}`,
    parts: draft.parts.map(({ old: _old, ...part }) => part as Part),
    wires: draft.wires(),
    states: planStates(found, new Map(relays.map((use) => [use.output, use.works]))),
  };
  const circuit = sized(bare);
  for (const state of statesOf(networkOf(circuit)))
    if (!isSettled(state))
      problems.push(`In state ${state.state} ${state.parts.join(' and ')} switch each other without end.`);
  return {
    circuit,
    removed: draft.removed(),
    gone: found.parts.filter((part) => old.parts.has(part.id)),
    relays,
    supply,
    problems,
    notes,
    findings: findingsOf(circuit, found),
  };
}

function oldName({ found, old }: Work): string {
  const names = found.parts.filter((part) => old.parts.has(part.id) && part.kind !== 'load').map(nameOf);
  return names.length === 0 ? 'nothing' : [...new Set(names)].join(' and ');
}

/** Where the hot comes from: the old feed, else the point from which the first load is cut. */
function primaryFeed(work: Work, consumers: readonly Consumer[]): Feed | null {
  const first = consumers[0]!;
  const own = first.cut ? null : work.feeds.behind(first.far);
  const any = own ?? [...work.old.feeds].map((end) => work.feeds.at(end)).find((f) => f !== null) ?? null;
  if (!first.cut && any) return any;
  return work.feeds.from(first.far, null, null) ?? any;
}

/** Contacts of the old device that stay: bridged, they no longer switch. */
function bridgeOld(work: Work): void {
  for (const id of work.found.conversion?.bridge ?? []) {
    const part = work.found.parts.find((p): p is ContactPart => p.id === id && p.kind === 'contact');
    if (!part) continue;
    const ends = contactEnds(part);
    work.draft.add({
      from: `${id}.${ends.com}`,
      to: `${id}.${ends.no ?? ends.nc}`,
      change: 'jumper',
      purpose: `bridge across ${nameOf(part)}: it stays, and no longer switches`,
      colour: work.colour('hot'),
      stripMm: STRIP_MM,
    });
    work.notes.push(...whereOldStays(work, nameOf(part)));
  }
}

/** Where the old control stays in its place the new one hangs beside it: what is left to be done by hand. Common practice. */
function whereOldStays({ found }: Work, old: string): readonly string[] {
  const light = found.parts.some((part) => part.kind === 'load' && part.role === 'light');
  return [
    `Seal the hole through which the new probe enters, inside and out: warm air drawn in ices there. ${old} keeps its own bulb where it is.`,
    'Strap the new control up where it can be read, above the floor, clear of drips and of the compressor’s heat; probe leads apart from mains.',
    ...(light
      ? ['Lights and their switch stay on their own feed: try them with the new control off and on.']
      : []),
  ];
}
