import type { Circuit } from '../circuit/index.ts';
import { nameOf } from '../circuit/index.ts';
import { isSupply, type OldDevice } from './consumers.ts';
import { pathTo, type Trace } from './trace.ts';

/** Where a hot conductor comes in. */
export interface Feed {
  /** Its end outside the old device. */
  readonly end: string;
  /** The wire from there to the old device; null where a load is cut straight from the feed. */
  readonly wire: number | null;
  readonly oldEnd: string | null;
  readonly line: string;
  /** The nearest point before every switch. */
  readonly tap: string;
  readonly switched: readonly string[];
}

/** Lines, feeds and returns of a circuit as found, followed through its wires. */
export class Feeds {
  private readonly found: Circuit;
  private readonly trace: Trace;
  private readonly old: OldDevice;

  constructor(trace: Trace, old: OldDevice) {
    this.found = trace.circuit;
    this.trace = trace;
    this.old = old;
  }

  /** The feed of an old contact, found through the old device. */
  behind(end: string): Feed | null {
    const seen = new Set([end]);
    const queue = [end];
    for (let i = 0; i < queue.length; i += 1) {
      const here = queue[i]!;
      if (this.old.feeds.has(here)) {
        const feed = this.at(here);
        if (feed) return feed;
      }
      const part = this.trace.partAt.get(here);
      const inside =
        part?.kind === 'contact' || part?.kind === 'switch'
          ? part.terminals.map((t) => `${part.id}.${t}`)
          : [];
      const wires = (this.trace.steps.get(here) ?? [])
        .filter((step) => step.wire >= 0)
        .map((step) => step.to);
      for (const next of [...inside, ...wires]) {
        if (seen.has(next) || !this.old.parts.has(this.trace.partAt.get(next)?.id ?? '')) continue;
        seen.add(next);
        queue.push(next);
      }
    }
    return null;
  }

  at(oldEnd: string): Feed | null {
    for (const step of this.trace.steps.get(oldEnd) ?? []) {
      if (step.wire < 0 || this.old.parts.has(this.trace.partAt.get(step.to)?.id ?? '')) continue;
      const feed = this.from(step.to, step.wire, oldEnd);
      if (feed) return feed;
    }
    return null;
  }

  from(end: string, wire: number | null, oldEnd: string | null): Feed | null {
    const { circuit } = this.trace;
    const outside = (at: string) => !this.old.parts.has(this.trace.partAt.get(at)?.id ?? '');
    const path = isSupply(circuit, end)
      ? []
      : (pathTo(
          this.trace,
          end,
          (at) => isSupply(circuit, at),
          (step) => outside(step.to) && !isSupply(circuit, step.from),
        ) ?? this.pathPastBridge(end));
    if (!path) return null;
    const line = path.at(-1)?.to ?? end;
    const switches = path.filter((step) => step.part?.kind === 'switch');
    const tap = switches.at(-1)?.to ?? end;
    return { end, wire, oldEnd, line, tap, switched: switches.map((step) => nameOf(step.part!)) };
  }

  /** A feed may come through a contact that stays bridged. */
  private pathPastBridge(end: string) {
    const part = this.trace.partAt.get(end);
    if (part?.kind !== 'contact' || !(this.found.conversion?.bridge ?? []).includes(part.id)) return null;
    for (const t of part.terminals) {
      const path = pathTo(this.trace, `${part.id}.${t}`, (at) => isSupply(this.found, at));
      if (path) return path;
    }
    return null;
  }

  /** Wires of old motors and coils to a line: they stay good for the new control. */
  oldReturns(): readonly { readonly wire: number; readonly oldEnd: string; readonly line: string }[] {
    return this.found.parts.flatMap((part) => {
      if (!this.old.parts.has(part.id) || part.kind === 'contact' || part.kind === 'switch') return [];
      const terminals: readonly string[] =
        part.kind === 'contactor' ? part.coil : part.kind === 'transformer' ? part.primary : part.terminals;
      return terminals.flatMap((t) => {
        const oldEnd = `${part.id}.${t}`;
        return (this.trace.steps.get(oldEnd) ?? []).flatMap((step) => {
          if (step.wire < 0 || this.old.parts.has(this.trace.partAt.get(step.to)?.id ?? '')) return [];
          const line = this.lineOf(step.to);
          return line !== null && !this.isHot(line) ? [{ wire: step.wire, oldEnd, line }] : [];
        });
      });
    });
  }

  isHot(line: string): boolean {
    return (this.found.supplies.find((s) => s.id === line)?.volts ?? 0) !== 0;
  }

  lineOf(end: string): string | null {
    if (isSupply(this.found, end)) return end;
    const path = pathTo(this.trace, end, (at) => isSupply(this.found, at));
    return path?.at(-1)?.to ?? null;
  }

  /** The point on the load's side of a line's fuse where a return may be taken. */
  returnPoint(end: string, line: string): string | null {
    const path = pathTo(
      this.trace,
      end,
      (at) => at === line,
      (step) => !isSupply(this.found, step.from),
    );
    if (!path) return null;
    const fuse = path.find((step) => step.part?.kind === 'fuse');
    return fuse?.from ?? line;
  }
}
