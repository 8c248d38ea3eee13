import { isVisible } from '../definitions/index.ts';
import { panelAtRest, printValue, type Machine } from '../panel/index.ts';
import type { MayBe } from './memories.ts';

/** A code to read, and which of the memories show what there. */
export interface NextReading {
  readonly code: string;
  readonly shows: ReadonlyMap<string, readonly MayBe[]>;
}

/** Memories by their places, in order. */
type Some = readonly number[];
/** A code with the memories that it parts, by what they show. */
interface Way {
  readonly code: string;
  readonly parts: ReadonlyMap<string, Some>;
}

/**
 * Chooses the codes to read that settle which of some memories a control has, in the fewest readings whatever it turns out to be: the least depth of a decision tree, found by trying depths from the least that could do,
 * with what was found of each part kept. Codes that read alike in all, or stand in the menu of some alone, are no help; memories that no code tells apart are one.
 */
export class Readings {
  private readonly memories: readonly MayBe[];
  /** What each code shows in each memory; null where it is not in the menu. */
  private readonly shown: ReadonlyMap<string, readonly (string | null)[]>;
  /** How many readings some memories need: not fewer than the least, not more than the most, as far as it was found out. */
  private readonly bounds = new Map<string, { readonly least: number; readonly most: number }>();
  private readonly ways = new Map<string, readonly Way[]>();

  constructor(machine: Machine, memories: readonly MayBe[]) {
    this.memories = memories;
    const panels = memories.map(({ memory }) => panelAtRest(machine, memory));
    const codes = new Set([...machine.codes.values()].flat());
    const shown = new Map<string, readonly (string | null)[]>();
    for (const code of codes) {
      const parameter = machine.parameters.get(code)!;
      if (parameter.encoding.type === 'reading') continue;
      const words = memories.map(({ memory }, i) =>
        isVisible(machine.definition, parameter, memory)
          ? printValue(machine, panels[i]!, parameter, memory.get(code)!)
          : null,
      );
      if (new Set(words).size > 1) shown.set(code, words);
    }
    this.shown = shown;
  }

  /** The fewest readings after which nothing is left to tell, at worst. */
  needed(some: readonly MayBe[]): number {
    return this.depthOf(this.placesOf(some));
  }

  /** The reading to take next; null where one is left, or no code tells the rest apart. */
  next(some: readonly MayBe[]): NextReading | null {
    const places = this.placesOf(some);
    const depth = this.depthOf(places);
    if (depth === 0) return null;
    const { code, parts } = this.waysOf(places).find((way) => this.allDoIn(way, depth - 1))!;
    return {
      code,
      shows: new Map([...parts].map(([words, part]) => [words, part.map((i) => this.memories[i]!)])),
    };
  }

  private placesOf(some: readonly MayBe[]): Some {
    return some.map((one) => this.memories.indexOf(one));
  }

  private depthOf(some: Some): number {
    let depth = 0;
    while (!this.doesIn(some, depth)) depth += 1;
    return depth;
  }

  private doesIn(some: Some, depth: number): boolean {
    if (some.length === 1) return true;
    const key = some.join();
    const known = this.bounds.get(key) ?? { least: 0, most: Infinity };
    if (depth >= known.most) return true;
    if (depth < known.least) return false;
    const does = this.isEnough(some, depth);
    this.bounds.set(key, does ? { ...known, most: depth } : { ...known, least: depth + 1 });
    return does;
  }

  private isEnough(some: Some, depth: number): boolean {
    const ways = this.waysOf(some);
    if (ways.length === 0) return true;
    // No reading of these parts them into more than this, so that so many leaves at most are reached.
    const branching = Math.max(...ways.map(({ parts }) => parts.size));
    if (branching ** depth < this.tellable(some)) return false;
    return ways.some((way) => this.allDoIn(way, depth - 1));
  }

  private allDoIn({ parts }: Way, depth: number): boolean {
    return [...parts.values()].every((part) => this.doesIn(part, depth));
  }

  /** How many of some memories any reading at all could ever tell from each other: so many leaves a tree of readings has. Few where codes are hidden in some. */
  private tellable(some: Some): number {
    const everywhere = [...this.shown.values()].filter((words) => some.every((i) => words[i] !== null));
    return new Set(some.map((i) => everywhere.map((words) => words[i]).join('\n'))).size;
  }

  /** Codes that tell some memories apart, the most even first. */
  private waysOf(some: Some): readonly Way[] {
    const key = some.join();
    const before = this.ways.get(key);
    if (before) return before;
    const found: Way[] = [];
    // Codes that part alike are one way.
    const alike = new Set<string>();
    for (const [code, words] of this.shown) {
      const parts = new Map<string, number[]>();
      if (some.some((i) => words[i] === null)) continue;
      for (const i of some) parts.set(words[i]!, [...(parts.get(words[i]!) ?? []), i]);
      const shape = [...parts.values()].map((part) => part.join()).join(';');
      if (parts.size < 2 || alike.has(shape)) continue;
      alike.add(shape);
      found.push({ code, parts });
    }
    const sorted = found.toSorted((a, b) => largest(a) - largest(b));
    this.ways.set(key, sorted);
    return sorted;
  }
}

const largest = ({ parts }: Way) => Math.max(...[...parts.values()].map((part) => part.length));
