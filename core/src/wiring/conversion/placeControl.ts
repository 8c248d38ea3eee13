import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { Part } from '../circuit/index.ts';
import type { Consumer } from './consumers.ts';
import type { Feed } from './feeds.ts';
import { chooseSupply, offeredVolts, ratedFor, voltsBetweenLines, type SupplyChoice } from './supply.ts';
import type { Work } from './work.ts';

/** Control electronics take about this much (common practice). */
const CONTROL_VA = 5;

/** The new control in its place: its part, the point its hot hangs on, and the lines it runs on. */
export interface PlacedControl {
  readonly id: string;
  readonly hot: string;
  readonly supply: SupplyChoice | null;
}

/** Places the control on the lines it can run on, with a transformer where none suit, and brings feed and return to it. */
export function placeControl(work: Work, feed: Feed, consumers: readonly Consumer[]): PlacedControl {
  const preferred = [
    ...work.feeds.oldReturns().map((r) => r.line),
    ...consumers.flatMap((c) => work.feeds.lineOf(c.returnEnd) ?? []),
  ];
  const choice = chooseSupply(work.definition, work.found, feed.line, preferred);
  const family = work.definition.family;
  const id = work.draft.freeId('U1');
  if (!choice) return placeOnTransformer(work, id, feed, consumers);
  const rated = ratedFor(choice.entry, choice.volts);
  work.draft.parts.push(controlPart(work.definition, id, choice.terminals, rated));
  const hot = `${id}.${choice.terminals[0]}`;
  const ret = `${id}.${choice.terminals[1]}`;
  feedControl(work, feed, hot);
  returnOf(work, ret, choice.ret, consumers);
  const unused = (work.definition.supply ?? [])
    .flatMap((entry) => entry.terminals)
    .filter(
      (t, i, all) =>
        all.indexOf(t) === i && !choice.terminals.includes(t) && !choice.terminals[0].startsWith(t),
    );
  if (unused.length > 0)
    work.notes.push(
      `${choice.terminals.join(' and ')} are the terminals for ${Math.round(choice.volts)} V; leave ${unused.join(', ')} free.`,
    );
  if (!work.feeds.isHot(feed.line))
    work.notes.push(
      `The old contact switched the neutral, and so will the new relay: its loads stay under voltage while they are off.`,
    );
  if (feed.switched.length > 0)
    work.notes.push(
      `The old feed comes through ${feed.switched.join(' and ')}. The supply of ${family} is tapped before it, so that the control stays alive when it opens.`,
    );
  return { id, hot, supply: choice };
}

/** No pair of lines suits: a control transformer stands between. */
function placeOnTransformer(
  work: Work,
  controlId: string,
  feed: Feed,
  consumers: readonly Consumer[],
): PlacedControl {
  const entry = (work.definition.supply ?? []).find((e) => e.kind === 'ac');
  const dc = work.found.supplies.some((s) => s.kind === 'dc');
  const ret = returnLine(work, feed, consumers);
  if (!entry || dc || ret === null) {
    const minus = dc && !work.feeds.isHot(feed.line);
    work.problems.push(
      minus
        ? `The old contact switches the minus, ${feed.line}: take the plus for ${work.definition.family} to its terminals by hand.`
        : `${work.definition.family} cannot run on this supply (${offeredVolts(work.found).join(', ')} V).`,
    );
    return { id: controlId, hot: feed.tap, supply: null };
  }
  const wanted = typeof entry.volts === 'number' ? entry.volts : entry.volts[0]!;
  const primary = Math.round(
    voltsBetweenLines(
      work.found.supplies.find((s) => s.id === feed.line)!,
      work.found.supplies.find((s) => s.id === ret)!,
    ),
  );
  const id = work.draft.freeId('T1');
  const [a, b] = entry.terminals;
  work.draft.parts.push({
    id,
    kind: 'transformer',
    name: `Transformer ${primary} V to ${wanted} V`,
    primary: ['H1', 'H2'],
    secondary: ['X1', 'X2'],
    ratedVolts: primary,
    secondaryVolts: wanted,
    va: 4 * CONTROL_VA,
  });
  work.draft.parts.push(controlPart(work.definition, controlId, [a ?? '1', b ?? '2'], wanted));
  work.draft.add(work.newWire(feed.tap, `${id}.H1`, 'hot', 'feeds the transformer'));
  returnOf(work, `${id}.H2`, ret, consumers);
  work.draft.add(
    work.newWire(`${id}.X1`, `${controlId}.${a ?? '1'}`, 'other', `${wanted} V for the control`),
  );
  work.draft.add(
    work.newWire(`${id}.X2`, `${controlId}.${b ?? '2'}`, 'other', `${wanted} V for the control`),
  );
  work.notes.push(
    `${work.definition.family} takes ${wanted} V and the cabinet has ${primary} V: a transformer of ${4 * CONTROL_VA} VA is needed.`,
  );
  return { id: controlId, hot: feed.tap, supply: null };
}

function controlPart(
  definition: ControllerDefinition,
  id: string,
  terminals: readonly [string, string],
  rated: number,
): Part {
  const inputs = (definition.probes ?? []).flatMap((p) => p.terminals ?? []);
  const free = [...new Set(inputs)].filter((t) => !terminals.includes(t)).slice(0, 10);
  return {
    id,
    kind: 'control',
    name: definition.family,
    terminals: [...terminals, ...free],
    ohms: Math.round(rated ** 2 / CONTROL_VA),
    ratedVolts: rated,
    owns: [],
    controller: definition.id,
  };
}

/** An unswitched feed goes to the control's own terminal, and jumpers carry it on; a switched one to the first common. */
function feedControl(work: Work, feed: Feed, hot: string): void {
  if (
    feed.wire !== null &&
    feed.oldEnd !== null &&
    feed.switched.length === 0 &&
    !work.probeWires.has(feed.wire)
  ) {
    work.draft.move(feed.wire, feed.oldEnd, hot);
    return;
  }
  work.draft.add(work.newWire(feed.tap, hot, 'hot', 'supply of the control, unswitched'));
}

/** The return of the control: a wire that the old device leaves behind, else a new one to where the loads return. */
function returnOf(work: Work, end: string, line: string, consumers: readonly Consumer[]): void {
  const left = work.feeds.oldReturns().find((r) => r.line === line);
  if (left) {
    work.draft.move(left.wire, left.oldEnd, end);
    return;
  }
  const at = consumers.map((c) => work.feeds.returnPoint(c.returnEnd, line)).find((p) => p !== null) ?? line;
  work.draft.add(
    work.newWire(at, end, work.feeds.isHot(line) ? 'secondHot' : 'return', 'return of the control'),
  );
}

function returnLine(work: Work, feed: Feed, consumers: readonly Consumer[]): string | null {
  const lines = consumers
    .map((c) => work.feeds.lineOf(c.returnEnd))
    .filter((l): l is string => l !== null && l !== feed.line);
  return lines[0] ?? work.found.supplies.find((s) => s.id !== feed.line && s.id !== 'PE')?.id ?? null;
}
