/**
 * Nodal analysis by star–mesh elimination. For every node, admittances to neighbours w, to earth g, and a current J:
 *
 *   S_k = g_k + Σ_j w_kj        removing k:  w_ij += w_ik·w_kj / S_k,  g_i += w_ik·g_k / S_k,  J_i += w_ik·J_k / S_k
 *   going back:                 V_k = (J_k + Σ_j w_kj·V_j) / S_k
 *
 * This is LDLᵀ of the nodal matrix with the diagonal kept as a sum of what leaves the node, never as a difference, so that a node held
 * by a 10 MΩ path alone comes out right beside 0.01 Ω wires (the argument of Grassmann, Taksar and Heyman for Markov chains, 1985). A
 * node with S = 0 hangs on nothing; it is given 0 V.
 */
export interface Elimination {
  readonly nodes: number;
  /** Node eliminated at each step. */
  readonly order: Int32Array;
  /** For step s, neighbours lie at `start[s] … start[s + 1]` in `neighbour` and `link`. */
  readonly start: Int32Array;
  readonly neighbour: Int32Array;
  readonly link: Int32Array;
  /** For step s, pairs of neighbours lie at `pairStart[s] …`: the two links into the node and the link between them. */
  readonly pairStart: Int32Array;
  readonly pairA: Int32Array;
  readonly pairB: Int32Array;
  readonly pairAB: Int32Array;
  readonly links: number;
  /** The link each branch adds to; −1 for a branch with both ends on one node. */
  readonly linkOf: Int32Array;
}

/**
 * The order by least degree and every index the numeric pass needs. A given order is kept instead: good enough where one branch of a known
 * network went elsewhere, and much sooner found.
 */
export function eliminationOf(
  nodes: number,
  branches: readonly { readonly a: number; readonly b: number }[],
  given?: Int32Array,
): Elimination {
  const around: Map<number, number>[] = Array.from({ length: nodes }, () => new Map<number, number>());
  let links = 0;
  const linkBetween = (a: number, b: number): number => {
    const known = around[a]!.get(b);
    if (known !== undefined) return known;
    around[a]!.set(b, links);
    around[b]!.set(a, links);
    links += 1;
    return links - 1;
  };
  const linkOf = Int32Array.from(branches, ({ a, b }) => (a === b ? -1 : linkBetween(a, b)));

  const order: number[] = [];
  const start: number[] = [0];
  const neighbour: number[] = [];
  const link: number[] = [];
  const pairStart: number[] = [0];
  const pairs: [number, number, number][] = [];
  const left = new Set(Array.from({ length: nodes }, (_, i) => i));
  while (left.size > 0) {
    let node = given?.[order.length] ?? -1;
    if (!given)
      for (const candidate of left)
        if (node < 0 || around[candidate]!.size < around[node]!.size) node = candidate;
    left.delete(node);
    const mine = [...around[node]!];
    for (const [other] of mine) around[other]!.delete(node);
    for (const [other, via] of mine) {
      neighbour.push(other);
      link.push(via);
    }
    for (let i = 0; i < mine.length; i += 1)
      for (let j = i + 1; j < mine.length; j += 1)
        pairs.push([mine[i]![1], mine[j]![1], linkBetween(mine[i]![0], mine[j]![0])]);
    order.push(node);
    start.push(neighbour.length);
    pairStart.push(pairs.length);
  }
  return {
    nodes,
    order: Int32Array.from(order),
    start: Int32Array.from(start),
    neighbour: Int32Array.from(neighbour),
    link: Int32Array.from(link),
    pairStart: Int32Array.from(pairStart),
    pairA: Int32Array.from(pairs, (p) => p[0]),
    pairB: Int32Array.from(pairs, (p) => p[1]),
    pairAB: Int32Array.from(pairs, (p) => p[2]),
    links,
    linkOf,
  };
}

/** A network factored for one set of admittances; solved for any currents. */
export interface Factored {
  readonly elimination: Elimination;
  /** Admittance of each link at the moment one of its ends was removed. */
  readonly wRe: Float64Array;
  readonly wIm: Float64Array;
  /** 1 / S of each step; 0 for a node that hangs on nothing. */
  readonly sRe: Float64Array;
  readonly sIm: Float64Array;
}

/** Removes the nodes one by one. `yRe`, `yIm`: siemens per branch; `gRe`: siemens to earth per node. */
export function factor(
  elimination: Elimination,
  yRe: Float64Array,
  yIm: Float64Array,
  gRe: Float64Array,
): Factored {
  const { order, start, neighbour, link, pairStart, pairA, pairB, pairAB, linkOf } = elimination;
  const wRe = new Float64Array(elimination.links);
  const wIm = new Float64Array(elimination.links);
  for (let i = 0; i < linkOf.length; i += 1) {
    const at = linkOf[i]!;
    if (at < 0) continue;
    wRe[at]! += yRe[i]!;
    wIm[at]! += yIm[i]!;
  }
  const earthRe = Float64Array.from(gRe);
  const earthIm = new Float64Array(elimination.nodes);
  const sRe = new Float64Array(elimination.nodes);
  const sIm = new Float64Array(elimination.nodes);
  for (let s = 0; s < order.length; s += 1) {
    const node = order[s]!;
    let re = earthRe[node]!;
    let im = earthIm[node]!;
    for (let i = start[s]!; i < start[s + 1]!; i += 1) {
      re += wRe[link[i]!]!;
      im += wIm[link[i]!]!;
    }
    const square = re * re + im * im;
    if (square === 0) continue;
    const invRe = re / square;
    const invIm = -im / square;
    sRe[s] = invRe;
    sIm[s] = invIm;
    const gr = earthRe[node]! * invRe - earthIm[node]! * invIm;
    const gi = earthRe[node]! * invIm + earthIm[node]! * invRe;
    if (gr !== 0 || gi !== 0)
      for (let i = start[s]!; i < start[s + 1]!; i += 1) {
        const wr = wRe[link[i]!]!;
        const wi = wIm[link[i]!]!;
        earthRe[neighbour[i]!]! += wr * gr - wi * gi;
        earthIm[neighbour[i]!]! += wr * gi + wi * gr;
      }
    for (let p = pairStart[s]!; p < pairStart[s + 1]!; p += 1) {
      const ar = wRe[pairA[p]!]! * invRe - wIm[pairA[p]!]! * invIm;
      const ai = wRe[pairA[p]!]! * invIm + wIm[pairA[p]!]! * invRe;
      const br = wRe[pairB[p]!]!;
      const bi = wIm[pairB[p]!]!;
      wRe[pairAB[p]!]! += ar * br - ai * bi;
      wIm[pairAB[p]!]! += ar * bi + ai * br;
    }
  }
  return { elimination, wRe, wIm, sRe, sIm };
}

/** Volts at every node for currents into the nodes (amps); `jRe` and `jIm` are used up. */
export function solve(
  factored: Factored,
  jRe: Float64Array,
  jIm: Float64Array,
): { readonly re: Float64Array; readonly im: Float64Array } {
  const { elimination, wRe, wIm, sRe, sIm } = factored;
  const { order, start, neighbour, link } = elimination;
  for (let s = 0; s < order.length; s += 1) {
    const node = order[s]!;
    const cr = jRe[node]! * sRe[s]! - jIm[node]! * sIm[s]!;
    const ci = jRe[node]! * sIm[s]! + jIm[node]! * sRe[s]!;
    if (cr === 0 && ci === 0) continue;
    for (let i = start[s]!; i < start[s + 1]!; i += 1) {
      const wr = wRe[link[i]!]!;
      const wi = wIm[link[i]!]!;
      jRe[neighbour[i]!]! += wr * cr - wi * ci;
      jIm[neighbour[i]!]! += wr * ci + wi * cr;
    }
  }
  const re = new Float64Array(elimination.nodes);
  const im = new Float64Array(elimination.nodes);
  for (let s = order.length - 1; s >= 0; s -= 1) {
    const node = order[s]!;
    let r = jRe[node]!;
    let m = jIm[node]!;
    for (let i = start[s]!; i < start[s + 1]!; i += 1) {
      const wr = wRe[link[i]!]!;
      const wi = wIm[link[i]!]!;
      const vr = re[neighbour[i]!]!;
      const vi = im[neighbour[i]!]!;
      r += wr * vr - wi * vi;
      m += wr * vi + wi * vr;
    }
    re[node] = r * sRe[s]! - m * sIm[s]!;
    im[node] = r * sIm[s]! + m * sRe[s]!;
  }
  return { re, im };
}
