import { terminalsOf, type Circuit, type Part, type Wire } from '../circuit/index.ts';

/** A plan while it is being drawn up: the wires as found, each moved, removed or left, and what is added. One plan, mutated in place. */
export class Draft {
  readonly found: Circuit;
  readonly parts: Part[];
  /** As found, in file order; null once removed. */
  private readonly kept: (Wire | null)[];
  private readonly added: Wire[] = [];
  private readonly counts = new Map<string, number>();

  constructor(found: Circuit, parts: readonly Part[]) {
    this.found = found;
    this.parts = [...parts];
    this.kept = found.wires.map((wire) => ({ ...wire, change: 'kept' as const }));
  }

  /** A name no part or supply has yet: the base itself, else with the first free number. */
  freeId(base: string): string {
    const taken = new Set([...this.found.parts, ...this.parts, ...this.found.supplies].map((p) => p.id));
    if (!taken.has(base)) return base;
    const stem = base.replace(/\d+$/, '');
    for (let n = 2; ; n += 1) if (!taken.has(`${stem}${n}`)) return `${stem}${n}`;
  }

  /** Takes one end of a wire to another terminal. */
  move(index: number, oldEnd: string, newEnd: string): void {
    const wire = this.kept[index];
    if (!wire) return;
    const side = wire.from === oldEnd ? 'from' : 'to';
    this.kept[index] = {
      ...wire,
      [side]: newEnd,
      change: 'moved',
      was: wire.was ?? { from: wire.from, to: wire.to },
    };
  }

  remove(index: number): void {
    this.kept[index] = null;
  }

  /** The wire as it now stands; null once removed. */
  wire(index: number): Wire | null {
    return this.kept[index] ?? null;
  }

  /** Adds a wire with a label of its own: J for jumpers, W for the rest. */
  add(wire: Wire): void {
    if (wire.internal) {
      this.added.push(wire);
      return;
    }
    const letter = wire.change === 'jumper' ? 'J' : 'W';
    const used = new Set(this.found.wires.map((w) => w.label));
    let n = this.counts.get(letter) ?? 0;
    do n += 1;
    while (used.has(`${letter}${n}`));
    this.counts.set(letter, n);
    this.added.push({ label: `${letter}${n}`, ...wire });
  }

  /** Takes out every wire that still ends on a part that is gone. */
  dropLoose(): void {
    const ends = new Set([
      ...this.found.supplies.map((s) => s.id),
      ...this.parts.flatMap((part) => terminalsOf(part).map((t) => `${part.id}.${t}`)),
    ]);
    this.kept.forEach((wire, i) => {
      if (wire && !(ends.has(wire.from) && ends.has(wire.to))) this.kept[i] = null;
    });
  }

  wires(): readonly Wire[] {
    return [...this.kept.filter((wire): wire is Wire => wire !== null), ...this.added];
  }

  removed(): readonly Wire[] {
    return this.found.wires.filter((_, i) => this.kept[i] === null);
  }
}
