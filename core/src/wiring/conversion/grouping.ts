import { nameOf } from '../circuit/index.ts';
import { consumersOf, type Consumer, type OldDevice } from './consumers.ts';
import type { Trace } from './trace.ts';

/** Consumers with the output that works each, and what could not be given one. */
export interface Grouped {
  readonly consumers: readonly Consumer[];
  readonly problems: readonly string[];
  readonly notes: readonly string[];
}

/**
 * Gives each load and coil the output that works it. A condenser fan on the compressor's lead stays with the compressor; a fan without a
 * relay of its own follows it; two outputs on one lead are parted where their own wires begin. `wanted`: outputs the control has.
 */
export function groupConsumers(
  trace: Trace,
  old: OldDevice,
  wanted: ReadonlySet<string>,
  family: string,
): Grouped {
  const problems: string[] = [];
  const notes: string[] = [];
  const all = consumersOf(trace, old, wanted);
  const compressor = all.find((c) => c.output === 'compressor');
  const own = new Set((compressor?.path ?? []).flatMap((step) => (step.wire >= 0 ? [step.wire] : [])));
  const given = all.flatMap((c): Consumer[] => {
    if (wanted.has(c.output)) return [c];
    if (c.cut) return [];
    if (compressor && c.path.some((step) => own.has(step.wire))) return [{ ...c, output: compressor.output }];
    // The old contact goes; without a relay of its own the load follows the compressor, or loses what switches it.
    const how = fallback(c.output, wanted);
    notes.push(
      how === null
        ? `${nameOf(c.part)} finds no relay on ${family}: its old contact has to stay, or another control has to do it.`
        : `${nameOf(c.part)} has no relay of its own on ${family} and works together with the ${how} output.`,
    );
    if (how === null) problems.push(`${nameOf(c.part)} would lose what switches it.`);
    return how === null ? [] : [{ ...c, output: how }];
  });
  const parted = separate(given);
  return { consumers: parted.consumers, problems: [...problems, ...parted.problems], notes };
}

/** Two outputs on one lead are parted where their own wires begin, unless a safety switch would be lost by it. */
function separate(consumers: readonly Consumer[]): Omit<Grouped, 'notes'> {
  const problems: string[] = [];
  const sorted = [...consumers].sort((a, b) => rankOf(a.output) - rankOf(b.output));
  const taken = new Map<number, string>();
  const parted = sorted.flatMap((c): Consumer[] => {
    if ((taken.get(c.lead) ?? c.output) === c.output) {
      for (const step of c.path) if (step.wire >= 0) taken.set(step.wire, c.output);
      return [c];
    }
    const at = c.path.findIndex((step) => step.wire >= 0 && taken.has(step.wire));
    const own = c.path
      .slice(0, at)
      .reverse()
      .find((step) => step.wire >= 0);
    const lost = c.path.slice(at).some((step) => step.part?.kind === 'switch' && step.part.safety);
    if (!own || lost) {
      problems.push(
        `${nameOf(c.part)} shares its line with another output${lost ? ', a safety switch among it' : ''}: decide by hand where to part them.`,
      );
      return [];
    }
    taken.set(own.wire, c.output);
    return [{ ...c, lead: own.wire, far: own.to, path: c.path.slice(0, at) }];
  });
  return { consumers: parted, problems };
}

const order = ['compressor', 'defrost', 'fan', 'condenserFan', 'stage2', 'alarm'];
/** The order in which outputs are wired. */
export const rankOf = (output: string) => {
  const at = order.indexOf(output);
  return at < 0 ? order.length : at;
};

/** Without a relay of its own a fan follows the compressor; a heater follows nothing. */
function fallback(output: string, wanted: ReadonlySet<string>): string | null {
  if ((output === 'fan' || output === 'condenserFan') && wanted.has('compressor')) return 'compressor';
  return null;
}
