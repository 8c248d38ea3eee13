import {
  contactEnds,
  nameOf,
  terminalsOf,
  wireIds,
  type Circuit,
  type ContactPart,
  type Part,
} from '@brine/core/wiring/circuit';
import { outputWords } from '../shared/circuit/outputWords.ts';

/** A terminal on the edge of a box. */
export interface Port {
  /** `part.terminal`, or a supply's id. */
  readonly end: string;
  readonly label: string;
  readonly side: 'west' | 'east';
}

/** A device or supply as it is drawn. */
export interface Box {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly kind: 'supply' | 'neutral' | 'control' | 'safety' | 'part' | 'probe';
  readonly ports: readonly Port[];
  readonly width: number;
  readonly height: number;
}

/** A wire as it is drawn, from the box nearer to the supply to the one farther away. */
export interface Link {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly colour: string;
  readonly label: string;
  readonly change: string;
}

/** What the layout is asked to place. */
export interface Diagram {
  readonly boxes: readonly Box[];
  readonly links: readonly Link[];
}

export const PORT_STEP = 26;
export const HEAD = 46;
const CHARACTER = 7.2;

interface Group {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly kind: Box['kind'];
  readonly ends: readonly { readonly end: string; readonly label: string; readonly side?: Port['side'] }[];
}

/** Boxes, terminals and wires of a circuit. A control and the contacts it owns are one box; live lines stand left, the neutral right. */
export function diagramOf(circuit: Circuit): Diagram {
  const groups = groupsOf(circuit);
  const groupAt = new Map(groups.flatMap((g) => g.ends.map(({ end }) => [end, g.id] as const)));
  const ranks = ranksOf(circuit, groups, groupAt);
  const used = new Set(circuit.wires.flatMap((w) => (w.internal ? [] : [w.from, w.to])));
  const rank = (end: string) => ranks.get(groupAt.get(end)!) ?? 0;
  const boxes = groups.map((group): Box => {
    const ports = group.ends
      .filter(({ end, side }) => used.has(end) || side !== undefined || group.kind === 'control')
      .map(({ end, label, side }): Port => ({
        end,
        label,
        side: side ?? sideOf(circuit, end, rank, group, groupAt),
      }));
    const west = ports.filter((p) => p.side === 'west');
    const east = ports.filter((p) => p.side === 'east');
    const widest = (list: readonly Port[]) => Math.max(0, ...list.map((p) => p.label.length));
    const words = Math.max(group.title.length + 2, group.detail.length * 0.88);
    const between = widest(west) + widest(east) + 3;
    return {
      ...group,
      ports,
      width: Math.max(96, Math.ceil(Math.max(words, between) * CHARACTER) + 22),
      height: HEAD + Math.max(1, west.length, east.length) * PORT_STEP,
    };
  });
  const ids = wireIds(circuit.wires);
  const links = circuit.wires.flatMap((wire, i): Link[] => {
    if (wire.internal) return [];
    const forward = rank(wire.from) <= rank(wire.to);
    return [
      {
        id: ids[i]!,
        from: forward ? wire.from : wire.to,
        to: forward ? wire.to : wire.from,
        colour: wire.colour ?? '',
        label: wire.label ?? '',
        change: wire.change ?? 'kept',
      },
    ];
  });
  return { boxes: boxes.filter((box) => box.ports.length > 0), links };
}

/** Ends on the way to the supply look west, ends on the way to the load east. */
function sideOf(
  circuit: Circuit,
  end: string,
  rank: (end: string) => number,
  group: Group,
  groupAt: ReadonlyMap<string, string>,
): Port['side'] {
  const others = circuit.wires.flatMap((w) => (w.from === end ? [w.to] : w.to === end ? [w.from] : []));
  const outside = others.filter((other) => groupAt.get(other) !== group.id);
  const before = outside.filter((other) => rank(other) < rank(end)).length;
  return before * 2 >= outside.length ? 'west' : 'east';
}

function groupsOf(circuit: Circuit): readonly Group[] {
  const live = circuit.supplies.filter((s) => s.volts !== 0);
  const rest = circuit.supplies.filter((s) => s.volts === 0);
  const owned = new Set(circuit.parts.flatMap((p) => (p.kind === 'control' ? p.owns : [])));
  const supplies: Group[] = [
    {
      id: 'supply',
      title: 'Supply',
      detail: supplyWords(circuit),
      kind: 'supply',
      ends: live.map((s) => ({ end: s.id, label: s.id, side: 'east' as const })),
    },
    ...rest
      .filter((s) => circuit.wires.some((w) => w.from === s.id || w.to === s.id))
      .map((s): Group => ({
        id: `supply:${s.id}`,
        title: s.id === 'PE' ? 'Earth' : circuit.supplies.some((x) => x.kind === 'dc') ? 'Minus' : 'Neutral',
        detail: s.id,
        kind: 'neutral',
        ends: [{ end: s.id, label: s.id, side: 'west' }],
      })),
  ];
  const parts = circuit.parts
    .filter((part) => !owned.has(part.id))
    .map((part) => (part.kind === 'control' ? controlGroup(circuit, part.id) : partGroup(part)));
  return [...supplies, ...parts];
}

function supplyWords(circuit: Circuit): string {
  const live = circuit.supplies.filter((s) => s.volts !== 0);
  const volts = live[0]?.volts ?? 0;
  if (live[0]?.kind === 'dc') return `${volts} V battery`;
  return live.length === 1 ? `${volts} V` : `${volts} V to neutral`;
}

function controlGroup(circuit: Circuit, id: string): Group {
  const control = circuit.parts.find((p) => p.id === id)!;
  const contacts = circuit.parts.filter(
    (p): p is ContactPart =>
      control.kind === 'control' && p.kind === 'contact' && control.owns.includes(p.id),
  );
  const terminals = control.kind === 'control' ? control.terminals : [];
  const probed = new Set(circuit.wires.flatMap((w) => [w.from, w.to]));
  const screwed = new Set(circuit.wires.flatMap((w) => (w.internal ? [] : [w.from, w.to])));
  const supply = terminals.slice(0, 2).map((t) => ({ end: `${id}.${t}`, label: t, side: 'west' as const }));
  const low = terminals
    .slice(2)
    .filter((t) => probed.has(`${id}.${t}`))
    .map((t) => ({ end: `${id}.${t}`, label: t, side: 'east' as const }));
  const commons = contacts.flatMap((c) => {
    const { com } = contactEnds(c);
    const end = `${c.id}.${com}`;
    // A common that is fed inside has no screw of its own to show.
    const inside = circuit.wires.some((w) => w.internal && (w.from === end || w.to === end));
    return inside && !screwed.has(end)
      ? []
      : [{ end, label: c.labels?.[com] ?? `${c.id} com`, side: 'west' as const }];
  });
  const throws = contacts.flatMap((c) => {
    const ends = contactEnds(c);
    return [ends.no, ends.nc]
      .filter((t): t is string => t !== null && (t === ends.no || probed.has(`${c.id}.${t}`)))
      .map((t) => ({ end: `${c.id}.${t}`, label: c.labels?.[t] ?? `${c.id} ${t}`, side: 'east' as const }));
  });
  const ratings = contacts
    .map((c) =>
      `${outputWords(c.drivenBy).toLowerCase()} ${c.ratings?.resistiveAmps ? `${c.ratings.resistiveAmps} A` : ''}`.trim(),
    )
    .join(' · ');
  return {
    id,
    title: nameOf(control),
    detail: ratings,
    kind: 'control',
    ends: [...supply, ...commons, ...throws, ...low],
  };
}

function partGroup(part: Part): Group {
  const kind = part.kind === 'probe' ? 'probe' : part.kind === 'switch' && part.safety ? 'safety' : 'part';
  return {
    id: part.id,
    title: nameOf(part),
    detail: partWords(part),
    kind,
    ends: terminalsOf(part).map((t) => ({ end: `${part.id}.${t}`, label: part.labels?.[t] ?? t })),
  };
}

/** What a part is made for, in a few words. */
export function partWords(part: Part): string {
  switch (part.kind) {
    case 'fuse':
      return `${part.amps} A`;
    case 'load':
      return `${part.amps ? `${part.amps} A` : `${(part.watts / part.ratedVolts / (part.terminals.length === 3 ? Math.sqrt(3) : 1)).toFixed(1)} A`} · ${part.ratedVolts} V`;
    case 'contactor':
      return `coil ${part.coilVolts} V`;
    case 'switch':
      return part.safety ? 'safety: stays in series' : 'switch';
    case 'contact':
      return part.old ? 'comes out' : part.drivenBy;
    case 'probe':
      return 'low voltage';
    case 'transformer':
      return `${part.va} VA`;
    default:
      return '';
  }
}

/** Steps from the supply, box by box; the neutral and the earth come last. */
function ranksOf(
  circuit: Circuit,
  groups: readonly Group[],
  groupAt: ReadonlyMap<string, string>,
): ReadonlyMap<string, number> {
  const last = groups.filter((g) => g.kind === 'neutral').map((g) => g.id);
  const ranks = new Map<string, number>([['supply', 0]]);
  const queue = ['supply'];
  for (let i = 0; i < queue.length; i += 1) {
    const here = queue[i]!;
    for (const wire of circuit.wires) {
      const [a, b] = [groupAt.get(wire.from)!, groupAt.get(wire.to)!];
      const next = a === here ? b : b === here ? a : null;
      if (next === null || ranks.has(next) || last.includes(next)) continue;
      ranks.set(next, ranks.get(here)! + 1);
      queue.push(next);
    }
  }
  const far = Math.max(0, ...ranks.values()) + 1;
  for (const group of groups)
    if (!ranks.has(group.id)) ranks.set(group.id, far + (last.includes(group.id) ? 1 : 0));
  return ranks;
}
