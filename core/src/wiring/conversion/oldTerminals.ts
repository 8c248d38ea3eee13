import { nameOf, terminalsOf, type Circuit } from '../circuit/index.ts';
import { consumersOf, oldDeviceOf } from './consumers.ts';
import { Feeds } from './feeds.ts';
import { traceOf } from './trace.ts';

/** A terminal of the device that comes out, with what hangs on it. */
export interface OldTerminal {
  readonly end: string;
  /** As the old device prints it. */
  readonly label: string;
  readonly part: string;
  readonly words: string;
  /** True for a feed that a switch can take away; the new control's supply must not hang on it. */
  readonly switched: boolean;
}

/** Every terminal of the old device: which line feeds it, switched or not, and which load its leads go to, past which safety switches. */
export function oldTerminals(circuit: Circuit): readonly OldTerminal[] {
  const trace = traceOf(circuit);
  const old = oldDeviceOf(trace);
  const feeds = new Feeds(trace, old);
  const all = new Set(['compressor', 'defrost', 'fan', 'condenserFan', 'stage2', 'alarm']);
  const consumers = consumersOf(trace, old, all).filter((c) => !c.cut);
  return circuit.parts.flatMap((part) => {
    if (!old.parts.has(part.id)) return [];
    return terminalsOf(part).map((terminal): OldTerminal => {
      const end = `${part.id}.${terminal}`;
      const feed = old.feeds.has(end) ? feeds.at(end) : null;
      const loads = consumers.filter((c) => c.far === end);
      const past = (c: (typeof loads)[number]) => {
        const safeties = c.path.flatMap((step) => (step.part?.kind === 'switch' ? [nameOf(step.part)] : []));
        return `${nameOf(c.part)}${safeties.length > 0 ? `, past ${safeties.join(' and ')}` : ''}`;
      };
      const returns = feeds.oldReturns().filter((r) => r.oldEnd === end);
      const words = feed
        ? `fed by ${feed.line}, ${feed.switched.length > 0 ? `through ${feed.switched.join(' and ')}` : 'unswitched'}`
        : loads.length > 0
          ? `leads to ${loads.map(past).join('; ')}`
          : returns.length > 0
            ? `returns to ${returns[0]!.line}`
            : 'joins the old device inside';
      return {
        end,
        label: part.labels?.[terminal] ?? terminal,
        part: nameOf(part),
        words,
        switched: (feed?.switched.length ?? 0) > 0,
      };
    });
  });
}
