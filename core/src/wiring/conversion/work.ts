import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { wireIds, type Circuit, type Wire } from '../circuit/index.ts';
import { colourOf, type WireUse } from './colours.ts';
import type { OldDevice } from './consumers.ts';
import { Draft } from './draft.ts';
import { Feeds } from './feeds.ts';
import type { Trace } from './trace.ts';

/** Insulation off a wire that goes under a screw, in mm: it meets the terminal (common practice: about 6 mm, 1/4 in). */
export const STRIP_MM = 6;

/** A conversion under way: the circuit as found, the draft that grows from it, and what has to be said to a person. */
export class Work {
  readonly problems: string[] = [];
  readonly notes: string[] = [];
  readonly found: Circuit;
  readonly definition: ControllerDefinition;
  readonly trace: Trace;
  readonly old: OldDevice;
  readonly feeds: Feeds;
  readonly draft: Draft;
  /** Places of the wires that carry the new probe. */
  readonly probeWires: ReadonlySet<number>;

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
    const ids = wireIds(found.wires);
    this.probeWires = new Set((found.conversion?.probeWires ?? []).map((id) => ids.indexOf(id)));
  }

  newWire(from: string, to: string, use: WireUse, purpose: string): Wire {
    return { from, to, change: 'new', purpose, colour: this.colour(use), stripMm: STRIP_MM };
  }

  colour(use: WireUse): string {
    const dc = this.found.supplies.some((s) => s.kind === 'dc');
    return colourOf(this.found, dc && use === 'hot' ? 'plus' : dc && use === 'return' ? 'minus' : use);
  }
}
