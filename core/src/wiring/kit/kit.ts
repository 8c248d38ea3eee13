import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { Circuit } from '../circuit/index.ts';
import type { ConversionPlan } from '../conversion/index.ts';

/** What is known of the place before the visit; everything may be left open. */
export interface SiteMeasures {
  /** Way of a probe cable from the control to the farthest probe, in metres. */
  readonly probeMetres?: number;
  /** Way between the terminals of the cabinet, in metres: one wire with its slack. */
  readonly wireMetres?: number;
  /** Outer diameter of the liquid line, in millimetres, where a probe is clamped to it. */
  readonly pipeMm?: number;
  /** The hole that is there: its size in millimetres, or none. */
  readonly hole?: { readonly widthMm: number; readonly heightMm: number } | null;
  /** True where a probe stands in water. */
  readonly inWater?: boolean;
}

export type KitGroup = 'tools' | 'safety' | 'wire' | 'terminals' | 'probes' | 'fixing' | 'parts';

/** One line of the kit list, with the reason it is on it. */
export interface KitLine {
  readonly group: KitGroup;
  readonly what: string;
  readonly amount: string;
  readonly why: string;
}

/** Slack per end and reserve (common practice: a hand's breadth an end, a fifth over). */
const WIRE_METRES = 0.6;
const RESERVE = 1.2;

/** What to take along for a planned conversion: tools, wire by colour and gauge, terminals, probes, fixing. Worked out from the plan. */
export function kitList(
  plan: ConversionPlan,
  definition: ControllerDefinition,
  measures: SiteMeasures = {},
): readonly KitLine[] {
  return [
    ...safety(plan.circuit),
    ...tools(plan),
    ...wireLines(plan.circuit, measures),
    ...terminalLines(plan),
    ...probeLines(plan, definition, measures),
    ...fixing(definition, measures),
    ...extraParts(plan),
  ];
}

function safety(circuit: Circuit): readonly KitLine[] {
  const dc = circuit.supplies.some((s) => s.kind === 'dc');
  const why = dc
    ? 'The battery is disconnected at its fuse.'
    : 'Isolate, lock out, prove dead, and prove the meter before and after.';
  return [
    {
      group: 'safety',
      what: dc ? 'Tag for the battery fuse' : 'Lock and tag for the isolator',
      amount: '1',
      why,
    },
    { group: 'safety', what: 'Rated meter with leads, and a known source to prove it on', amount: '1', why },
    ...(dc
      ? []
      : [
          {
            group: 'safety' as const,
            what: 'Clamp meter',
            amount: '1',
            why: 'The amps of each load prove it live.',
          },
        ]),
  ];
}

function tools(plan: ConversionPlan): readonly KitLine[] {
  const strip = plan.circuit.wires.find((w) => w.stripMm !== undefined)?.stripMm ?? 6;
  return [
    {
      group: 'tools',
      what: 'Stripper, side cutter, screwdrivers for the terminals',
      amount: '1 each',
      why: `Strip ${strip} mm, so that the insulation meets the terminal.`,
    },
    {
      group: 'tools',
      what: 'Wire markers and a phone for pictures',
      amount: '1 set',
      why: 'Every wire is marked before it is taken off.',
    },
  ];
}

function wireLines(circuit: Circuit, { wireMetres = WIRE_METRES }: SiteMeasures): readonly KitLine[] {
  const groups = new Map<string, number>();
  for (const wire of circuit.wires) {
    if (wire.lowVoltage || wire.internal || (wire.change !== 'new' && wire.change !== 'jumper')) continue;
    const key = `${wire.colour ?? 'any colour'}|${wire.gauge ?? 'as the fuse wants'}`;
    groups.set(key, (groups.get(key) ?? 0) + 1);
  }
  return [...groups].map(([key, count]) => {
    const [colour, gauge] = key.split('|') as [string, string];
    const metres = Math.ceil(count * wireMetres * RESERVE * 10) / 10;
    return {
      group: 'wire',
      what: `Wire ${gauge}, ${colour}`,
      amount: `${metres} m`,
      why: `${count} ${count === 1 ? 'wire' : 'wires'} of about ${wireMetres} m, a fifth over.`,
    };
  });
}

function terminalLines(plan: ConversionPlan): readonly KitLine[] {
  const fresh = plan.circuit.wires.filter(
    (w) => !w.internal && w.change !== undefined && w.change !== 'kept',
  );
  const ends = fresh.reduce((sum, wire) => sum + (wire.change === 'moved' ? 1 : 2), 0);
  const shared = new Map<string, number>();
  for (const wire of plan.circuit.wires)
    for (const end of [wire.from, wire.to]) shared.set(end, (shared.get(end) ?? 0) + 1);
  const crowded = [...shared].filter(
    ([end, count]) => count > 2 && !plan.circuit.supplies.some((s) => s.id === end),
  );
  return [
    {
      group: 'terminals',
      what: 'Ferrules or spade terminals to the gauge',
      amount: `${Math.ceil(ends * RESERVE)}`,
      why: `${ends} ends are new or moved, a fifth over.`,
    },
    ...(crowded.length > 0
      ? [
          {
            group: 'terminals' as const,
            what: 'Splice connector, rated for the feed',
            amount: `${crowded.length}`,
            why: `More than two wires meet on ${crowded.map(([end]) => end).join(', ')}.`,
          },
        ]
      : []),
  ];
}

function probeLines(
  plan: ConversionPlan,
  definition: ControllerDefinition,
  measures: SiteMeasures,
): readonly KitLine[] {
  const probes = plan.circuit.parts.filter((p) => p.kind === 'probe');
  const reuse = plan.circuit.wires.some(
    (w) =>
      w.change === 'moved' &&
      probes.some((p) => w.from.startsWith(`${p.id}.`) || w.to.startsWith(`${p.id}.`)),
  );
  return probes.flatMap((probe, i): readonly KitLine[] => {
    const role = probe.role ?? 'air';
    const type = definition.probes?.[i]?.types[0] ?? '';
    const length =
      measures.probeMetres === undefined
        ? 'lead to be measured'
        : `lead of ${Math.ceil(measures.probeMetres * RESERVE * 2) / 2} m`;
    const lines: KitLine[] = [
      {
        group: 'probes',
        what: `Probe for ${role}, ${type}`,
        amount: reuse && i === 0 ? 'short lead' : length,
        why: placement[role] ?? 'Low voltage: its own way, away from mains.',
      },
    ];
    if (role === 'liquid' || (measures.pipeMm !== undefined && i === 0))
      lines.push({
        group: 'probes',
        what:
          measures.pipeMm === undefined
            ? 'Pipe clamp, size to be measured'
            : `Pipe clamp for ${measures.pipeMm} mm, and insulation tape`,
        amount: '1',
        why: 'Full contact, snug, not crushed, insulated.',
      });
    if (measures.inWater)
      lines.push({
        group: 'probes',
        what: 'Sealed pocket or gland for the probe',
        amount: '1',
        why: 'A probe end used in water needs a seal.',
      });
    return lines;
  });
}

const placement: Readonly<Record<string, string>> = {
  air: 'In the return air, not in the supply, not touching metal.',
  coil: 'Where frost stays longest, gripped by the fins.',
  liquid: 'On the liquid line, after the condenser.',
  product: 'Among the product, buffered.',
};

function fixing(definition: ControllerDefinition, { hole }: SiteMeasures): readonly KitLine[] {
  const size = definition.cutOut;
  if (hole === undefined)
    return [
      {
        group: 'fixing',
        what: 'Bracket and screws, or a knockout cover',
        amount: '1',
        why: 'Measure the hole that is there; whether it can be used again is decided before the visit.',
      },
    ];
  if (!size)
    return [
      {
        group: 'fixing',
        what: 'Bracket and screws',
        amount: '1 set',
        why: `The booklet of ${definition.family} gives no cut-out here.`,
      },
    ];
  const fits =
    hole !== null &&
    Math.abs(hole.widthMm - size.widthMm) <= 1 &&
    Math.abs(hole.heightMm - size.heightMm) <= 1;
  const larger = hole !== null && (hole.widthMm > size.widthMm + 1 || hole.heightMm > size.heightMm + 1);
  return [
    fits
      ? {
          group: 'fixing',
          what: 'Clips of the control',
          amount: '1 set',
          why: `The hole of ${size.widthMm} × ${size.heightMm} mm is used again.`,
        }
      : larger
        ? {
            group: 'fixing',
            what: `Cover plate with a cut-out of ${size.widthMm} × ${size.heightMm} mm`,
            amount: '1',
            why: 'The hole that is there is larger than the control.',
          }
        : {
            group: 'fixing',
            what: `Saw for a cut-out of ${size.widthMm} × ${size.heightMm} mm, edge seal`,
            amount: '1',
            why: `${hole === null ? 'There is no hole yet' : 'The hole that is there is too small'}; nothing live or charged behind it.`,
          },
  ];
}

function extraParts(plan: ConversionPlan): readonly KitLine[] {
  const before = new Set(plan.gone.map((p) => p.id));
  return plan.circuit.parts.flatMap((part): readonly KitLine[] => {
    if (part.kind === 'contactor' && plan.relays.some((r) => r.contactor?.id === part.id))
      return [
        {
          group: 'parts',
          what: `Contactor, ${part.ratings?.resistiveAmps ?? ''} A a pole, coil ${part.coilVolts} V`,
          amount: '1',
          why: 'The relay of the control is too weak.',
        },
      ];
    if (part.kind === 'transformer' && !before.has(part.id) && part.name?.startsWith('Transformer'))
      return [
        {
          group: 'parts',
          what: part.name,
          amount: '1',
          why: 'The control takes another voltage than the cabinet has.',
        },
      ];
    return [];
  });
}
