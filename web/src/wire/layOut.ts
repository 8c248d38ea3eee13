import type { ElkExtendedEdge, ElkNode, ELK } from 'elkjs/lib/elk-api';
import { keepLayout, keptLayout } from './keptLayouts.ts';
import { PORT_STEP, HEAD, type Diagram } from './diagram.ts';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A diagram with its places: boxes by corner, terminals by point, wires by their bends, and where their labels go. */
export interface LaidOut {
  readonly width: number;
  readonly height: number;
  readonly boxes: ReadonlyMap<string, Point>;
  readonly ports: ReadonlyMap<string, Point>;
  readonly wires: ReadonlyMap<string, readonly Point[]>;
}

const options = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.spacing.nodeNodeBetweenLayers': '62',
  'elk.layered.spacing.edgeNodeBetweenLayers': '20',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '11',
  'elk.spacing.nodeNode': '26',
  'elk.spacing.edgeNode': '16',
  'elk.spacing.edgeEdge': '11',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.layered.crossingMinimization.semiInteractive': 'false',
  'elk.layered.thoroughness': '20',
  'elk.padding': '[top=14,left=14,bottom=14,right=14]',
};

/**
 * Places a diagram with the layered layout of the Eclipse Layout Kernel, orthogonal routes. The library is loaded when first needed, into a worker: on a slow phone it takes seconds to be read.
 *
 * @param given the kernel that lays out, where it is not the one in a worker
 */
export async function layOut(diagram: Diagram, given?: ELK): Promise<LaidOut> {
  const graph: ElkNode = {
    id: 'root',
    layoutOptions: options,
    children: diagram.boxes.map((box) => ({
      id: box.id,
      width: box.width,
      height: box.height,
      layoutOptions: {
        'elk.portConstraints': 'FIXED_POS',
        ...(box.kind === 'supply' ? { 'elk.layered.layering.layerConstraint': 'FIRST' } : {}),
        ...(box.kind === 'neutral' ? { 'elk.layered.layering.layerConstraint': 'LAST' } : {}),
      },
      ports: (['west', 'east'] as const).flatMap((side) =>
        box.ports
          .filter((port) => port.side === side)
          .map((port, i) => ({
            id: `port:${port.end}`,
            width: 0,
            height: 0,
            x: side === 'west' ? 0 : box.width,
            y: HEAD + i * PORT_STEP + PORT_STEP / 2 - 4,
            layoutOptions: { 'elk.port.side': side === 'west' ? 'WEST' : 'EAST' },
          })),
      ),
    })),
    edges: diagram.links.map((link) => ({
      id: link.id,
      sources: [`port:${link.from}`],
      targets: [`port:${link.to}`],
    })),
  };
  const placed = given ? await given.layout(graph) : (keptLayout(graph) ?? (await laidOutNow(graph)));
  const boxes = new Map<string, Point>();
  const ports = new Map<string, Point>();
  for (const box of placed.children ?? []) {
    boxes.set(box.id, { x: box.x!, y: box.y! });
    for (const port of box.ports ?? [])
      ports.set(port.id.slice(5), { x: box.x! + (port.x ?? 0), y: box.y! + (port.y ?? 0) });
  }
  const wires = new Map((placed.edges ?? []).map((edge) => [edge.id, routeOf(edge)] as const));
  return { width: placed.width!, height: placed.height!, boxes, ports, wires };
}

function routeOf(edge: ElkExtendedEdge): readonly Point[] {
  const section = edge.sections?.[0];
  return section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : [];
}

/** Where a label stands: in the middle of a stretch, turned where the stretch is upright. */
export interface LabelPlace extends Point {
  readonly upright: boolean;
}

/** A label of this width stands over the longest level stretch of its wire that has room for it, else along an upright one; else nowhere. */
export function labelPlace(bends: readonly Point[], width: number): LabelPlace | null {
  return longestStretch(bends, width + 6, false) ?? longestStretch(bends, width + 6, true);
}

function longestStretch(bends: readonly Point[], least: number, upright: boolean): LabelPlace | null {
  let best: LabelPlace | null = null;
  let longest = least;
  for (let i = 1; i < bends.length; i += 1) {
    const [a, b] = [bends[i - 1]!, bends[i]!];
    const length = upright ? Math.abs(a.y - b.y) : Math.abs(a.x - b.x);
    const straight = upright ? a.x === b.x : a.y === b.y;
    if (!straight || length <= longest) continue;
    longest = length;
    best = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, upright };
  }
  return best;
}

/** The kernel writes the places into the graph it is given: what it was asked is noted before. */
async function laidOutNow(graph: ElkNode): Promise<ElkNode> {
  const asked = JSON.stringify(graph);
  const placed = await (await layoutKernel()).layout(graph);
  keepLayout(asked, placed);
  return placed;
}

let kernel: Promise<ELK> | null = null;

function layoutKernel(): Promise<ELK> {
  kernel ??= import('elkjs/lib/elk-api.js').then(
    ({ default: Elk }) =>
      new Elk({
        workerFactory: () =>
          new Worker(new URL('../workers/layout.worker.ts', import.meta.url), { type: 'module' }),
      }),
  );
  return kernel;
}

/** A route of level and upright strokes between two terminals, for a box that was dragged away from its place. */
export function directRoute(a: Point, b: Point): readonly Point[] {
  const middle = (a.x + b.x) / 2;
  return [a, { x: middle, y: a.y }, { x: middle, y: b.y }, b];
}
