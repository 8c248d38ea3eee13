import type { Relay } from '../../controllers/definitions/index.ts';
import { COIL_VA, contactorFrame, demandOf, relayFor, tooWeak, type Demand } from '../suitability/index.ts';
import { useOfOutput } from './colours.ts';
import type { Consumer } from './consumers.ts';
import type { Feed } from './feeds.ts';
import { rankOf } from './grouping.ts';
import type { PlacedControl } from './placeControl.ts';
import type { RelayUse } from './plan.ts';
import { voltsBetweenLines } from './supply.ts';
import type { Work } from './work.ts';

/** Gives each output its relay: the common fed, a contactor where the relay is too weak, the leads of the loads moved over. */
export function placeRelays(
  work: Work,
  control: PlacedControl,
  feed: Feed,
  consumers: readonly Consumer[],
): readonly RelayUse[] {
  const uses: RelayUse[] = [];
  /** Relays of the definition, with the part that each became. */
  const placed = new Map<string, string>();
  const outputs = [...new Set(consumers.map((c) => c.output))].sort((a, b) => rankOf(a) - rankOf(b));
  const switchedFeed = feed.wire !== null && feed.switched.length > 0 && feed.oldEnd !== null;
  let carried: string | null = switchedFeed ? null : control.hot;
  for (const output of outputs) {
    const relay = relayFor(work.definition, output);
    if (!relay) continue;
    const mine = consumers.filter((c) => c.output === output);
    const id = placeRelay(work, relay, output, mine);
    placed.set(relay.id, id);
    const common = `${id}.com`;
    const own = ownFeed(work, mine, feed);
    const demand = demandOf(mine.map((c) => c.part));
    const because = tooWeak(relay, demand);
    if (relay.commonFedInternally === true)
      work.draft.add({ from: control.hot, to: common, internal: true, purpose: 'inside the control' });
    else if (carried === null) {
      work.draft.move(feed.wire!, feed.oldEnd!, common);
      carried = common;
    } else if (own && because === null) work.draft.move(own.wire!, own.oldEnd!, common);
    else if (mine[0]!.cut && output === outputs[0] && mine[0]!.far !== feed.end)
      work.draft.add(work.newWire(mine[0]!.far, common, 'hot', 'feeds the common'));
    else {
      work.draft.add({
        ...work.newWire(carried, common, 'hot', `jumper to the common of the ${output} relay`),
        change: 'jumper',
      });
      carried = common;
    }
    if (relay.commonFedInternally === 'unknown')
      work.notes.push(
        `Whether ${work.definition.family} feeds ${relay.terminals?.common ?? relay.id} inside is not known: read it before the jumper goes in.`,
      );
    const contactor =
      because === null
        ? null
        : placeContactor(work, control, { relay: id, output, mine, demand, because }, own ?? feed);
    moveLeads(work, mine, contactor === null ? `${id}.no` : `${contactor.id}.2`, output);
    uses.push({ output, relay: id, works: mine.map((c) => c.part.id), demand, contactor });
  }
  for (const [i, part] of work.draft.parts.entries())
    if (part.id === control.id && part.kind === 'control')
      work.draft.parts[i] = { ...part, owns: [...placed.values()] };
  const idle = (work.definition.relays ?? []).filter((r) => !placed.has(r.id));
  if (idle.length > 0)
    work.notes.push(
      `Not used: ${idle.map((r) => `${r.terminals?.common ?? r.id} (${r.drives})`).join(', ')}.`,
    );
  return uses;
}

function placeRelay(work: Work, relay: Relay, output: string, mine: readonly Consumer[]): string {
  const id = work.draft.freeId(/^K\d+$/.test(relay.id) ? relay.id : `K-${relay.id}`);
  const t = relay.terminals ?? {};
  const labels = Object.fromEntries(
    [
      ['com', t.common],
      ['no', t.normallyOpen],
      ['nc', t.normallyClosed],
    ].filter((pair): pair is [string, string] => pair[1] !== undefined),
  );
  work.draft.parts.push({
    id,
    kind: 'contact',
    name: `${work.definition.family} ${output} relay`,
    terminals: t.normallyClosed === undefined ? ['com', 'no'] : ['com', 'no', 'nc'],
    drivenBy: output,
    labels,
    ...(relay.ratings ? { ratings: relay.ratings } : {}),
    works: mine.map((c) => c.part.id),
  });
  return id;
}

/** A group that had a feed of its own keeps it. */
function ownFeed(work: Work, mine: readonly Consumer[], primary: Feed): Feed | null {
  for (const c of mine) {
    const own = c.cut ? null : work.feeds.behind(c.far);
    if (own && own.wire !== null && own.wire !== primary.wire && work.draft.wire(own.wire)?.change === 'kept')
      return own;
  }
  return null;
}

/** A relay that is too weak for its line. */
interface WeakRelay {
  readonly relay: string;
  readonly output: string;
  readonly mine: readonly Consumer[];
  readonly demand: Demand;
  readonly because: string;
}

function placeContactor(
  work: Work,
  control: PlacedControl,
  { relay, output, mine, demand, because }: WeakRelay,
  feed: Feed,
): NonNullable<RelayUse['contactor']> {
  const id = work.draft.freeId('C1');
  const line = work.feeds.lineOf(mine[0]!.returnEnd) ?? control.supply?.ret ?? '';
  const lines = work.found.supplies;
  const coilVolts = Math.round(
    voltsBetweenLines(
      lines.find((s) => s.id === feed.line)!,
      lines.find((s) => s.id === line) ?? lines[0]!,
    ),
  );
  const frame = contactorFrame(demand);
  work.draft.parts.push({
    id,
    kind: 'contactor',
    name: `Contactor for the ${output} line`,
    coil: ['A1', 'A2'],
    coilVolts,
    coilOhms: Math.round(coilVolts ** 2 / COIL_VA),
    poles: [['1', '2']],
    ratings: { resistiveAmps: frame, motorFullLoadAmps: frame },
  });
  work.draft.add(work.newWire(`${relay}.no`, `${id}.A1`, 'coil', 'works the contactor'));
  const at = work.feeds.returnPoint(mine[0]!.returnEnd, line) ?? line;
  work.draft.add(
    work.newWire(`${id}.A2`, at, work.feeds.isHot(line) ? 'secondHot' : 'return', 'return of the coil'),
  );
  if (feed.wire !== null && feed.oldEnd !== null && work.draft.wire(feed.wire)?.change === 'kept')
    work.draft.move(feed.wire, feed.oldEnd, `${id}.1`);
  else work.draft.add(work.newWire(feed.end, `${id}.1`, 'hot', 'carries the load past the control'));
  return { id, frameAmps: frame, because };
}

function moveLeads(work: Work, mine: readonly Consumer[], target: string, output: string): void {
  const done = new Set<number>();
  for (const c of mine) {
    if (done.has(c.lead)) continue;
    done.add(c.lead);
    if (work.probeWires.has(c.lead)) {
      const wire = work.found.wires[c.lead]!;
      const stays = wire.from === c.far ? wire.to : wire.from;
      work.draft.add(work.newWire(target, stays, useOfOutput(output), `from the ${output} relay`));
    } else work.draft.move(c.lead, c.far, target);
  }
}
