import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { eliminationOf, factor, solve } from './elimination.ts';

interface Net {
  readonly nodes: number;
  readonly branches: readonly {
    readonly a: number;
    readonly b: number;
    readonly re: number;
    readonly im: number;
  }[];
  readonly earth: Float64Array;
  readonly jRe: Float64Array;
}

/** Conductances over nine decades, as wires beside open contacts have them, some with lag; two nodes held to earth. */
function randomNet(random: () => number): Net {
  const nodes = 3 + Math.floor(random() * 20);
  const branches = Array.from({ length: nodes * 2 }, () => ({
    a: Math.floor(random() * nodes),
    b: Math.floor(random() * nodes),
    re: random() < 0.3 ? 1e-7 : random() < 0.5 ? 100 : 0.01 + random(),
    im: random() < 0.2 ? -random() : 0,
  })).filter(({ a, b }) => a !== b);
  // A chain of open contacts keeps every node on something.
  for (let i = 1; i < nodes; i += 1) branches.push({ a: i - 1, b: i, re: 1e-7, im: 0 });
  const earth = new Float64Array(nodes);
  const jRe = new Float64Array(nodes);
  for (const held of [0, nodes - 1]) {
    earth[held] = 20;
    jRe[held] = 20 * (held === 0 ? 120 : 0);
  }
  return { nodes, branches, earth, jRe };
}

function ours(net: Net) {
  const elimination = eliminationOf(net.nodes, net.branches);
  const factored = factor(
    elimination,
    Float64Array.from(net.branches, (b) => b.re),
    Float64Array.from(net.branches, (b) => b.im),
    net.earth,
  );
  return solve(factored, Float64Array.from(net.jRe), new Float64Array(net.nodes));
}

/** A second implementation: the full complex matrix by Gaussian elimination with row exchange. */
function dense(net: Net): readonly (readonly [number, number])[] {
  const n = net.nodes;
  const m = Array.from({ length: n }, () => Array.from({ length: n + 1 }, () => [0, 0] as [number, number]));
  for (let i = 0; i < n; i += 1) {
    m[i]![i]![0] += net.earth[i]!;
    m[i]![n]![0] = net.jRe[i]!;
  }
  for (const { a, b, re, im } of net.branches)
    for (const [i, j, sign] of [
      [a, a, 1],
      [b, b, 1],
      [a, b, -1],
      [b, a, -1],
    ] as const) {
      m[i]![j]![0] += sign * re;
      m[i]![j]![1] += sign * im;
    }
  const divide = (
    [ar, ai]: readonly [number, number],
    [br, bi]: readonly [number, number],
  ): [number, number] => {
    const d = br * br + bi * bi;
    return [(ar * br + ai * bi) / d, (ai * br - ar * bi) / d];
  };
  for (let k = 0; k < n; k += 1) {
    let pivot = k;
    for (let i = k + 1; i < n; i += 1) if (Math.hypot(...m[i]![k]!) > Math.hypot(...m[pivot]![k]!)) pivot = i;
    [m[k], m[pivot]] = [m[pivot]!, m[k]!];
    for (let i = 0; i < n; i += 1) {
      if (i === k) continue;
      const f = divide(m[i]![k]!, m[k]![k]!);
      for (let j = k; j <= n; j += 1) {
        const [xr, xi] = m[k]![j]!;
        m[i]![j]![0] -= f[0] * xr - f[1] * xi;
        m[i]![j]![1] -= f[0] * xi + f[1] * xr;
      }
    }
  }
  return m.map((row, i) => divide(row[n]!, row[i]!));
}

describe('star–mesh elimination', () => {
  // Oracle: a second implementation. Its subtractions lose digits where 100 S stands beside 1e-7 S, hence 1e-4 V of 120 V.
  test.each(Array.from({ length: 40 }, (_, i) => i + 1))(
    'agrees with Gaussian elimination, seed %i',
    (seed) => {
      const net = randomNet(seeded(seed));
      const { re, im } = ours(net);
      dense(net).forEach(([r, i], node) => {
        expect(re[node]).toBeCloseTo(r, 4);
        expect(im[node]).toBeCloseTo(i, 4);
      });
    },
  );

  // Oracle: Kirchhoff's current law. What enters a node leaves it, to 1e-9 of what flows.
  test.each(Array.from({ length: 20 }, (_, i) => 100 + i))(
    'loses no current at any node, seed %i',
    (seed) => {
      const net = randomNet(seeded(seed));
      const { re, im } = ours(net);
      for (let node = 0; node < net.nodes; node += 1) {
        let balance = net.jRe[node]! - net.earth[node]! * re[node]!;
        let flow = Math.abs(net.jRe[node]!);
        for (const { a, b, re: g, im: s } of net.branches) {
          if (a !== node && b !== node) continue;
          const other = a === node ? b : a;
          const vr = re[node]! - re[other]!;
          const vi = im[node]! - im[other]!;
          balance -= vr * g - vi * s;
          flow += Math.abs(vr * g) + Math.abs(vi * s);
        }
        expect(Math.abs(balance)).toBeLessThanOrEqual(1e-9 * (flow + 1));
      }
    },
  );

  test('a node held by a 10 MΩ path alone comes out to the last digits beside 0.01 Ω wires', () => {
    // 120 V – 10 MΩ – node – 20 MΩ – earth, the node tied by wires to two others. Oracle: the divider, 80 V.
    const branches = [
      { a: 0, b: 1, re: 1e-7, im: 0 },
      { a: 1, b: 2, re: 100, im: 0 },
      { a: 2, b: 3, re: 100, im: 0 },
      { a: 3, b: 4, re: 5e-8, im: 0 },
    ];
    const net = {
      nodes: 5,
      branches,
      earth: Float64Array.from([1e12, 0, 0, 0, 1e12]),
      jRe: Float64Array.from([120e12, 0, 0, 0, 0]),
    };
    expect(ours(net).re[2]).toBeCloseTo(80, 6);
  });

  test('an island that hangs on nothing is 0 V and never NaN', () => {
    const net = {
      nodes: 4,
      branches: [
        { a: 0, b: 1, re: 1, im: 0 },
        { a: 2, b: 3, re: 1, im: 0 },
      ],
      earth: Float64Array.from([20, 0, 0, 0]),
      jRe: Float64Array.from([2400, 0, 0, 0]),
    };
    expect([...ours(net).re]).toEqual([120, 120, 0, 0]);
  });
});
