import type { ControllerDefinition, Relay } from '../../controllers/definitions/index.ts';
import {
  CIRCUIT_FORMAT,
  contactEnds,
  nameOf,
  wireIds,
  type Circuit,
  type ContactPart,
  type Part,
  type Wire,
} from '../circuit/index.ts';
import { findingsOf } from '../findings/index.ts';
import type { WiringFinding } from '../findings/index.ts';
import { isSettled, networkOf, statesOf } from '../solver/index.ts';
import { colourOf, useOfOutput, type WireUse } from './colours.ts';
import { oldDeviceOf, type Consumer, type OldDevice } from './consumers.ts';
import { Draft } from './draft.ts';
import { Feeds, type Feed } from './feeds.ts';
import { groupConsumers, rankOf } from './grouping.ts';
import { COIL_VA, contactorFrame, demandOf, relayFor, tooWeak, type Demand } from '../suitability/index.ts';
import { sized } from './sized.ts';
import { planStates } from './planStates.ts';
import { placeProbes } from './probes.ts';
import { chooseSupply, offeredVolts, ratedFor, voltsBetweenLines, type SupplyChoice } from './supply.ts';
import { traceOf, type Trace } from './trace.ts';

/** A relay of the new control with what it works. */
export interface RelayUse {
  readonly output: string;
  readonly relay: string;
  /** Part ids of the loads and coils in its line. */
  readonly works: readonly string[];
  readonly demand: Demand;
  /** A contactor put between, because the relay is too weak; with the reason. */
  readonly contactor: { readonly id: string; readonly frameAmps: number; readonly because: string } | null;
}

/** The new circuit, wire by wire. */
export interface ConversionPlan {
  readonly circuit: Circuit;
  readonly removed: readonly Wire[];
  readonly gone: readonly Part[];
  readonly relays: readonly RelayUse[];
  readonly supply: SupplyChoice | null;
  /** What could not be planned; each says what a person has to decide. */
  readonly problems: readonly string[];
  readonly notes: readonly string[];
  readonly findings: readonly WiringFinding[];
}

/** Insulation off a wire that goes under a screw, in mm: it meets the terminal (common practice: about 6 mm, 1/4 in). */
export const STRIP_MM = 6;

/** Control electronics take about this much (common practice). */
const CONTROL_VA = 5;

/**
 * Plans the change from a circuit as found to a new control: the old device out, its feed to the new supply terminals and commons, each
 * load's lead to the relay that fits, jumpers where a common is dry, a contactor where a relay is too weak. Switches in a load's own line,
 * safety switches above all, are never touched. Pure: the circuit as found stays as it is. The file is long because one draft is changed in
 * an order that matters: control, relays, contactors, leads.
 */
export function convert(found: Circuit, definition: ControllerDefinition): ConversionPlan {
  const trace = traceOf(found);
  const old = oldDeviceOf(trace);
  const work = new Work(found, definition, trace, old);
  work.run();
  return work.result();
}

class Work {
  private readonly draft: Draft;
  private readonly problems: string[] = [];
  private readonly notes: string[] = [];
  private readonly uses: RelayUse[] = [];
  private supply: SupplyChoice | null = null;
  private readonly found: Circuit;
  private readonly definition: ControllerDefinition;
  private readonly trace: Trace;
  private readonly old: OldDevice;
  private readonly feeds: Feeds;
  private readonly ids: readonly string[];
  private readonly probeWires: ReadonlySet<number>;
  /** The hot of the control, once it is placed. */
  private hot = '';
  private controlId = '';
  private readonly relayIds = new Map<string, string>();

  constructor(found: Circuit, definition: ControllerDefinition, trace: Trace, old: OldDevice) {
    this.found = found;
    this.definition = definition;
    this.trace = trace;
    this.old = old;
    this.feeds = new Feeds(trace, old);
    this.draft = new Draft(
      found,
      found.parts.filter((part) => !old.parts.has(part.id)),
    );
    this.ids = wireIds(found.wires);
    this.probeWires = new Set((found.conversion?.probeWires ?? []).map((id) => this.ids.indexOf(id)));
  }

  run(): void {
    const wanted = new Set((this.definition.relays ?? []).map((relay) => relay.drives));
    const { consumers, problems, notes } = groupConsumers(
      this.trace,
      this.old,
      wanted,
      this.definition.family,
    );
    this.problems.push(...problems);
    this.notes.push(...notes);
    if (consumers.length === 0) {
      this.problems.push(
        'No load was found that this control could switch: trace the wire of the compressor first.',
      );
      return;
    }
    for (const { part } of consumers)
      if (part.kind === 'load' && part.terminals.length === 3)
        this.problems.push(
          `${nameOf(part)} has three phases and no contactor: plan a contactor of three poles by hand, its coil on the relay.`,
        );
    const feed = this.primaryFeed(consumers);
    if (!feed) {
      this.problems.push('No live conductor reaches the old control: trace its feed to a supply first.');
      return;
    }
    this.bridgeOld();
    this.placeControl(feed, consumers);
    this.placeRelays(feed, consumers);
    this.notes.push(
      ...placeProbes({
        draft: this.draft,
        definition: this.definition,
        controlId: this.controlId,
        trace: this.trace,
        old: this.old,
        reuse: [...this.probeWires].filter((i) => i >= 0),
        stripMm: STRIP_MM,
      }),
    );
    this.draft.dropLoose();
  }

  result(): ConversionPlan {
    const uses = new Map(this.uses.map((use) => [use.output, use.works]));
    const bare: Circuit = {
      ...this.found,
      format: CIRCUIT_FORMAT,
      summary: `${this.definition.family} in the place of ${this.oldName()}`,
      parts: this.draft.parts.map(({ old: _old, ...part }) => part as Part),
      wires: this.draft.wires(),
      states: planStates(this.found, uses),
    };
    const circuit = sized(bare);
    const restless = statesOf(networkOf(circuit)).filter((s) => !isSettled(s));
    for (const state of restless)
      if (!isSettled(state))
        this.problems.push(
          `In state ${state.state} ${state.parts.join(' and ')} switch each other without end.`,
        );
    return {
      circuit,
      removed: this.draft.removed(),
      gone: this.found.parts.filter((part) => this.old.parts.has(part.id)),
      relays: this.uses,
      supply: this.supply,
      problems: this.problems,
      notes: this.notes,
      findings: findingsOf(circuit, this.found),
    };
  }

  private oldName(): string {
    const names = this.found.parts
      .filter((part) => this.old.parts.has(part.id) && part.kind !== 'load')
      .map(nameOf);
    return names.length === 0 ? 'nothing' : [...new Set(names)].join(' and ');
  }

  /** Where the hot comes from: the old feed, else the point from which the first load is cut. */
  private primaryFeed(consumers: readonly Consumer[]): Feed | null {
    const first = consumers[0]!;
    const own = first.cut ? null : this.feeds.behind(first.far);
    const any = own ?? [...this.old.feeds].map((end) => this.feeds.at(end)).find((f) => f !== null) ?? null;
    if (!first.cut && any) return any;
    return this.feeds.from(first.far, null, null) ?? any;
  }

  private bridgeOld(): void {
    for (const id of this.found.conversion?.bridge ?? []) {
      const part = this.found.parts.find((p): p is ContactPart => p.id === id && p.kind === 'contact');
      if (!part) continue;
      const ends = contactEnds(part);
      this.draft.add({
        from: `${id}.${ends.com}`,
        to: `${id}.${ends.no ?? ends.nc}`,
        change: 'jumper',
        purpose: `bridge across ${nameOf(part)}: it stays, and no longer switches`,
        colour: this.colour('hot'),
        stripMm: STRIP_MM,
      });
    }
  }

  private placeControl(feed: Feed, consumers: readonly Consumer[]): void {
    const preferred = [
      ...this.feeds.oldReturns().map((r) => r.line),
      ...consumers.flatMap((c) => this.feeds.lineOf(c.returnEnd) ?? []),
    ];
    const choice = chooseSupply(this.definition, this.found, feed.line, preferred);
    const family = this.definition.family;
    this.controlId = this.draft.freeId('U1');
    if (!choice) return this.placeOnTransformer(feed, consumers);
    this.supply = choice;
    const rated = ratedFor(choice.entry, choice.volts);
    this.draft.parts.push(this.controlPart(choice.terminals, rated));
    this.hot = `${this.controlId}.${choice.terminals[0]}`;
    const ret = `${this.controlId}.${choice.terminals[1]}`;
    this.feedControl(feed);
    this.returnOf(ret, choice.ret, consumers);
    const unused = (this.definition.supply ?? [])
      .flatMap((entry) => entry.terminals)
      .filter(
        (t, i, all) =>
          all.indexOf(t) === i && !choice.terminals.includes(t) && !choice.terminals[0].startsWith(t),
      );
    if (unused.length > 0)
      this.notes.push(
        `${choice.terminals.join(' and ')} are the terminals for ${Math.round(choice.volts)} V; leave ${unused.join(', ')} free.`,
      );
    if (!this.feeds.isHot(feed.line))
      this.notes.push(
        `The old contact switched the neutral, and so will the new relay: its loads stay under voltage while they are off.`,
      );
    if (feed.switched.length > 0)
      this.notes.push(
        `The old feed comes through ${feed.switched.join(' and ')}. The supply of ${family} is tapped before it, so that the control stays alive when it opens.`,
      );
  }

  /** No pair of lines suits: a control transformer stands between. */
  private placeOnTransformer(feed: Feed, consumers: readonly Consumer[]): void {
    const entry = (this.definition.supply ?? []).find((e) => e.kind === 'ac');
    const dc = this.found.supplies.some((s) => s.kind === 'dc');
    const ret = this.returnLine(feed, consumers);
    if (!entry || dc || ret === null) {
      const minus = dc && !this.feeds.isHot(feed.line);
      this.problems.push(
        minus
          ? `The old contact switches the minus, ${feed.line}: take the plus for ${this.definition.family} to its terminals by hand.`
          : `${this.definition.family} cannot run on this supply (${offeredVolts(this.found).join(', ')} V).`,
      );
      this.hot = feed.tap;
      return;
    }
    const wanted = typeof entry.volts === 'number' ? entry.volts : entry.volts[0]!;
    const primary = Math.round(
      voltsBetweenLines(
        this.found.supplies.find((s) => s.id === feed.line)!,
        this.found.supplies.find((s) => s.id === ret)!,
      ),
    );
    const id = this.draft.freeId('T1');
    const [a, b] = entry.terminals;
    this.draft.parts.push({
      id,
      kind: 'transformer',
      name: `Transformer ${primary} V to ${wanted} V`,
      primary: ['H1', 'H2'],
      secondary: ['X1', 'X2'],
      ratedVolts: primary,
      secondaryVolts: wanted,
      va: 4 * CONTROL_VA,
    });
    this.draft.parts.push(this.controlPart([a ?? '1', b ?? '2'], wanted));
    this.hot = feed.tap;
    this.draft.add(this.newWire(feed.tap, `${id}.H1`, 'hot', 'feeds the transformer'));
    this.returnOf(`${id}.H2`, ret, consumers);
    this.draft.add(
      this.newWire(`${id}.X1`, `${this.controlId}.${a ?? '1'}`, 'other', `${wanted} V for the control`),
    );
    this.draft.add(
      this.newWire(`${id}.X2`, `${this.controlId}.${b ?? '2'}`, 'other', `${wanted} V for the control`),
    );
    this.notes.push(
      `${this.definition.family} takes ${wanted} V and the cabinet has ${primary} V: a transformer of ${4 * CONTROL_VA} VA is needed.`,
    );
  }

  private controlPart(terminals: readonly [string, string], rated: number): Part {
    const inputs = (this.definition.probes ?? []).flatMap((p) => p.terminals ?? []);
    const free = [...new Set(inputs)].filter((t) => !terminals.includes(t)).slice(0, 10);
    return {
      id: this.controlId,
      kind: 'control',
      name: this.definition.family,
      terminals: [...terminals, ...free],
      ohms: Math.round(rated ** 2 / CONTROL_VA),
      ratedVolts: rated,
      owns: [],
      controller: this.definition.id,
    };
  }

  /** An unswitched feed goes to the control's own terminal, and jumpers carry it on; a switched one to the first common. */
  private feedControl(feed: Feed): void {
    if (
      feed.wire !== null &&
      feed.oldEnd !== null &&
      feed.switched.length === 0 &&
      !this.probeWires.has(feed.wire)
    ) {
      this.draft.move(feed.wire, feed.oldEnd, this.hot);
      return;
    }
    this.draft.add(this.newWire(feed.tap, this.hot, 'hot', 'supply of the control, unswitched'));
  }

  /** The return of the control: a wire that the old device leaves behind, else a new one to where the loads return. */
  private returnOf(end: string, line: string, consumers: readonly Consumer[]): void {
    const left = this.feeds.oldReturns().find((r) => r.line === line);
    if (left) {
      this.draft.move(left.wire, left.oldEnd, end);
      return;
    }
    const at =
      consumers.map((c) => this.feeds.returnPoint(c.returnEnd, line)).find((p) => p !== null) ?? line;
    this.draft.add(
      this.newWire(at, end, this.feeds.isHot(line) ? 'secondHot' : 'return', 'return of the control'),
    );
  }

  private returnLine(feed: Feed, consumers: readonly Consumer[]): string | null {
    const lines = consumers
      .map((c) => this.feeds.lineOf(c.returnEnd))
      .filter((l): l is string => l !== null && l !== feed.line);
    return lines[0] ?? this.found.supplies.find((s) => s.id !== feed.line && s.id !== 'PE')?.id ?? null;
  }

  private placeRelays(feed: Feed, consumers: readonly Consumer[]): void {
    const outputs = [...new Set(consumers.map((c) => c.output))].sort((a, b) => rankOf(a) - rankOf(b));
    const switchedFeed = feed.wire !== null && feed.switched.length > 0 && feed.oldEnd !== null;
    let carried: string | null = switchedFeed ? null : this.hot;
    for (const output of outputs) {
      const relay = relayFor(this.definition, output);
      if (!relay) continue;
      const mine = consumers.filter((c) => c.output === output);
      const id = this.placeRelay(relay, output, mine);
      const common = `${id}.com`;
      const own = this.ownFeed(mine, feed);
      const demand = demandOf(mine.map((c) => c.part));
      const because = tooWeak(relay, demand);
      if (relay.commonFedInternally === true)
        this.draft.add({ from: this.hot, to: common, internal: true, purpose: 'inside the control' });
      else if (carried === null) {
        this.draft.move(feed.wire!, feed.oldEnd!, common);
        carried = common;
      } else if (own && because === null) this.draft.move(own.wire!, own.oldEnd!, common);
      else if (mine[0]!.cut && output === outputs[0] && mine[0]!.far !== feed.end)
        this.draft.add(this.newWire(mine[0]!.far, common, 'hot', 'feeds the common'));
      else {
        this.draft.add({
          ...this.newWire(carried, common, 'hot', `jumper to the common of the ${output} relay`),
          change: 'jumper',
        });
        carried = common;
      }
      if (relay.commonFedInternally === 'unknown')
        this.notes.push(
          `Whether ${this.definition.family} feeds ${relay.terminals?.common ?? relay.id} inside is not known: read it before the jumper goes in.`,
        );
      const contactor =
        because === null ? null : this.placeContactor(id, output, mine, own ?? feed, demand, because);
      this.moveLeads(mine, contactor === null ? `${id}.no` : `${contactor.id}.2`, output);
      this.uses.push({ output, relay: id, works: mine.map((c) => c.part.id), demand, contactor });
    }
    for (const [i, part] of this.draft.parts.entries())
      if (part.id === this.controlId && part.kind === 'control')
        this.draft.parts[i] = { ...part, owns: [...this.relayIds.values()] };
    const idle = (this.definition.relays ?? []).filter((r) => !this.relayIds.has(r.id));
    if (idle.length > 0)
      this.notes.push(
        `Not used: ${idle.map((r) => `${r.terminals?.common ?? r.id} (${r.drives})`).join(', ')}.`,
      );
  }

  private placeRelay(relay: Relay, output: string, mine: readonly Consumer[]): string {
    const id = this.draft.freeId(/^K\d+$/.test(relay.id) ? relay.id : `K-${relay.id}`);
    this.relayIds.set(relay.id, id);
    const t = relay.terminals ?? {};
    const labels = Object.fromEntries(
      [
        ['com', t.common],
        ['no', t.normallyOpen],
        ['nc', t.normallyClosed],
      ].filter((pair): pair is [string, string] => pair[1] !== undefined),
    );
    this.draft.parts.push({
      id,
      kind: 'contact',
      name: `${this.definition.family} ${output} relay`,
      terminals: t.normallyClosed === undefined ? ['com', 'no'] : ['com', 'no', 'nc'],
      drivenBy: output,
      labels,
      ...(relay.ratings ? { ratings: relay.ratings } : {}),
      works: mine.map((c) => c.part.id),
    });
    return id;
  }

  /** A group that had a feed of its own keeps it. */
  private ownFeed(mine: readonly Consumer[], primary: Feed): Feed | null {
    for (const c of mine) {
      const own = c.cut ? null : this.feeds.behind(c.far);
      if (
        own &&
        own.wire !== null &&
        own.wire !== primary.wire &&
        this.draft.wire(own.wire)?.change === 'kept'
      )
        return own;
    }
    return null;
  }

  private placeContactor(
    relayId: string,
    output: string,
    mine: readonly Consumer[],
    feed: Feed,
    demand: Demand,
    because: string,
  ): NonNullable<RelayUse['contactor']> {
    const id = this.draft.freeId('C1');
    const line = this.feeds.lineOf(mine[0]!.returnEnd) ?? this.supply?.ret ?? '';
    const lines = this.found.supplies;
    const coilVolts = Math.round(
      voltsBetweenLines(
        lines.find((s) => s.id === feed.line)!,
        lines.find((s) => s.id === line) ?? lines[0]!,
      ),
    );
    const frame = contactorFrame(demand);
    this.draft.parts.push({
      id,
      kind: 'contactor',
      name: `Contactor for the ${output} line`,
      coil: ['A1', 'A2'],
      coilVolts,
      coilOhms: Math.round(coilVolts ** 2 / COIL_VA),
      poles: [['1', '2']],
      ratings: { resistiveAmps: frame, motorFullLoadAmps: frame },
    });
    this.draft.add(this.newWire(`${relayId}.no`, `${id}.A1`, 'coil', 'works the contactor'));
    const at = this.feeds.returnPoint(mine[0]!.returnEnd, line) ?? line;
    this.draft.add(
      this.newWire(`${id}.A2`, at, this.feeds.isHot(line) ? 'secondHot' : 'return', 'return of the coil'),
    );
    if (feed.wire !== null && feed.oldEnd !== null && this.draft.wire(feed.wire)?.change === 'kept')
      this.draft.move(feed.wire, feed.oldEnd, `${id}.1`);
    else this.draft.add(this.newWire(feed.end, `${id}.1`, 'hot', 'carries the load past the control'));
    return { id, frameAmps: frame, because };
  }

  private moveLeads(mine: readonly Consumer[], target: string, output: string): void {
    const done = new Set<number>();
    for (const c of mine) {
      if (done.has(c.lead)) continue;
      done.add(c.lead);
      if (this.probeWires.has(c.lead)) {
        const wire = this.found.wires[c.lead]!;
        const stays = wire.from === c.far ? wire.to : wire.from;
        this.draft.add(this.newWire(target, stays, useOfOutput(output), `from the ${output} relay`));
      } else this.draft.move(c.lead, c.far, target);
    }
  }

  private newWire(from: string, to: string, use: WireUse, purpose: string): Wire {
    return { from, to, change: 'new', purpose, colour: this.colour(use), stripMm: STRIP_MM };
  }

  private colour(use: WireUse): string {
    const dc = this.found.supplies.some((s) => s.kind === 'dc');
    return colourOf(this.found, dc && use === 'hot' ? 'plus' : dc && use === 'return' ? 'minus' : use);
  }
}
