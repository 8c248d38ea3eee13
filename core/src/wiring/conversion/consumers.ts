import { terminalsOf, type Circuit, type ContactorPart, type LoadPart } from '../circuit/index.ts';
import { outputOf } from '../suitability/index.ts';
import { pathTo, wiresOn, type Path, type Trace } from './trace.ts';

/** Something a relay is to work: a load, or the coil of a contactor that is already there. */
export interface Consumer {
  readonly part: LoadPart | ContactorPart;
  readonly output: string;
  /** Its end on the switched side, and how the conductor runs from there. */
  readonly end: string;
  readonly path: Path;
  /** Where the lead ends today: the terminal of the old contact, or where it joins the feed. */
  readonly far: string;
  /** Wire to be moved at its far end. */
  readonly lead: number;
  /** True where no old contact switched it: the lead is cut from the feed. */
  readonly cut: boolean;
  /** Its other end. */
  readonly returnEnd: string;
}

/** The old device seen from outside. */
export interface OldDevice {
  readonly parts: ReadonlySet<string>;
  /** Ends of old contacts that hang on a supply without passing the old device. */
  readonly feeds: ReadonlySet<string>;
  /** Ends of old contacts beyond them. */
  readonly throws: ReadonlySet<string>;
}

/** What comes out: parts marked old, less contacts that stay bridged. */
export function oldDeviceOf(trace: Trace): OldDevice {
  const { circuit } = trace;
  const bridged = new Set(circuit.conversion?.bridge ?? []);
  const old = circuit.parts.filter((part) => part.old && !bridged.has(part.id));
  const parts = new Set(old.map((part) => part.id));
  const ends = old
    .filter((part) => part.kind === 'contact' || part.kind === 'switch')
    .flatMap((part) => terminalsOf(part).map((t) => `${part.id}.${t}`));
  const outside = (end: string) => !parts.has(trace.partAt.get(end)?.id ?? '');
  const supplied = (end: string) =>
    pathTo(
      trace,
      end,
      (at) => isSupply(circuit, at),
      (step) => step.from === end || (outside(step.from) && !isSupply(circuit, step.from)),
    );
  // A wire from one part of the old device to another is part of the device.
  const feeds = ends.filter((end) => {
    const path = supplied(end);
    return path !== null && path.slice(0, -1).every((step) => outside(step.to));
  });
  return { parts, feeds: new Set(feeds), throws: new Set(ends.filter((end) => !feeds.includes(end))) };
}

/** Supplies, earth left out: no conductor is followed to earth. */
export function isSupply(circuit: Circuit, end: string): boolean {
  return end !== 'PE' && circuit.supplies.some((s) => s.id === end);
}

/** Every load and coil that a relay is to work, with the wire to move. `wanted`: outputs the control has a relay for. */
export function consumersOf(trace: Trace, old: OldDevice, wanted: ReadonlySet<string>): readonly Consumer[] {
  const { circuit } = trace;
  const behind = behindPoles(trace);
  return circuit.parts.flatMap((part): Consumer[] => {
    if (old.parts.has(part.id) || (part.kind !== 'load' && part.kind !== 'contactor')) return [];
    if (part.kind === 'load' && behind.has(part.id)) return [];
    const output = part.kind === 'load' ? outputOf(part) : outputOfContactor(trace, part);
    if (output === null) return [];
    const ends = (part.kind === 'load' ? part.terminals : part.coil).map((t) => `${part.id}.${t}`);
    const switched = switchedEnd(trace, old, ends);
    if (switched) {
      const { end, path } = switched;
      const last = [...path].reverse().find((step) => step.wire >= 0)!;
      return [
        {
          part,
          output,
          end,
          path,
          far: last.to,
          lead: last.wire,
          cut: false,
          returnEnd: ends.find((e) => e !== end)!,
        },
      ];
    }
    return wanted.has(output) ? cutFromFeed(trace, part, output, ends) : [];
  });
}

function switchedEnd(
  trace: Trace,
  old: OldDevice,
  ends: readonly string[],
): { end: string; path: Path } | null {
  const found = ends
    .map((end) => ({
      end,
      path: pathTo(
        trace,
        end,
        (at) => old.throws.has(at),
        (step) =>
          !isSupply(trace.circuit, step.from) && step.part?.kind !== 'fuse' && !old.feeds.has(step.to),
      ),
    }))
    .filter((f): f is { end: string; path: Path } => f.path !== null && f.path.length > 0);
  return found.sort((a, b) => a.path.length - b.path.length)[0] ?? null;
}

/** A load that hangs straight on its feed: the wire is cut where it leaves the feed, so that switches in its own line stay in series. */
function cutFromFeed(
  trace: Trace,
  part: LoadPart | ContactorPart,
  output: string,
  ends: readonly string[],
): Consumer[] {
  const { circuit } = trace;
  const ways = ends.map((end) => ({
    end,
    path: pathTo(trace, end, (at) => isSupply(circuit, at)) ?? passBridged(trace, end),
  }));
  const live = ways.find(({ path }) => {
    const at = path?.at(-1)?.to;
    return at !== undefined && (circuit.supplies.find((s) => s.id === at)?.volts ?? 1) !== 0;
  });
  if (!live?.path) return [];
  const { end, path } = live;
  const at = path.findIndex(
    (step) => step.wire >= 0 && (joins(trace, step.to) || isSupply(circuit, step.to)),
  );
  if (at < 0) return [];
  const step = path[at]!;
  return [
    {
      part,
      output,
      end,
      path: path.slice(0, at + 1),
      far: step.to,
      lead: step.wire,
      cut: true,
      returnEnd: ends.find((e) => e !== end)!,
    },
  ];
}

/** The way to the contact that stays bridged, where that is what stands between a load and its feed. */
function passBridged(trace: Trace, end: string): Path | null {
  const bridged = trace.circuit.conversion?.bridge ?? [];
  return pathTo(trace, end, (at) => bridged.includes(trace.partAt.get(at)?.id ?? ''));
}

/** Where a lead joins others: a fuse, a splice, a contact, another consumer, or a terminal with more wires than its own. */
function joins(trace: Trace, end: string): boolean {
  const part = trace.partAt.get(end);
  if (part && (part.kind === 'switch' ? wiresOn(trace, end) > 1 : true)) return true;
  return wiresOn(trace, end) > 2;
}

/** Loads whose line runs over a contactor's pole. */
function behindPoles(trace: Trace): ReadonlySet<string> {
  return new Set(
    trace.circuit.parts.flatMap((part) =>
      part.kind === 'contactor' ? loadsBehind(trace, part).map((load) => load.id) : [],
    ),
  );
}

function loadsBehind(trace: Trace, contactor: ContactorPart): readonly LoadPart[] {
  const out = contactor.poles.map((pole) => `${contactor.id}.${pole[1]}`);
  return trace.circuit.parts.filter(
    (part): part is LoadPart =>
      part.kind === 'load' &&
      part.terminals.some((t) =>
        pathTo(
          trace,
          `${part.id}.${t}`,
          (at) => out.includes(at),
          (step) => !isSupply(trace.circuit, step.from) && step.part?.kind !== 'fuse',
        ),
      ),
  );
}

/** A contactor belongs to the output of what its poles carry; with nothing known, to the compressor. */
function outputOfContactor(trace: Trace, part: ContactorPart): string {
  if (part.output !== undefined) return part.output;
  const outputs = loadsBehind(trace, part).flatMap((load) => outputOf(load) ?? []);
  return outputs.includes('compressor') || outputs.length === 0 ? 'compressor' : outputs[0]!;
}
