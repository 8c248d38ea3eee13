import type { Parameter } from '../definitions/index.ts';

/** An entry of a menu as the display names it: a parameter, or a folder by its path; and where it stands. */
export interface ShownEntry {
  readonly parameter: Parameter | null;
  readonly path: readonly string[];
  readonly parent: readonly string[];
}

/** The entries of a menu by what the display shows. */
export interface ShownEntries {
  readonly layout: 'list' | 'path';
  readonly text: boolean;
  find(shows: string | null): ShownEntry | null;
  /** Entries beside this one, in their order. */
  beside(entry: ShownEntry): readonly ShownEntry[];
}

/** The entries that a demonstration showed: codes, or names on a display with words; in folders where a folder's name showed. Null where no entry showed. */
export function shownEntries(
  order: readonly Parameter[],
  shown: readonly (string | null)[],
): ShownEntries | null {
  const texts = new Set(shown.filter((text) => text !== null).map(plain));
  const hits = (labels: readonly string[]) =>
    new Set(labels.map(plain).filter((label) => texts.has(label))).size;
  const [codesSeen, namesSeen] = [hits(order.map((p) => p.code)), hits(order.map((p) => p.name))];
  if (codesSeen + namesSeen === 0) return null;
  const byCode = codesSeen >= namesSeen;
  const codes = new Set(order.map((p) => plain(p.code)));
  const folders = new Map(
    order.flatMap((p) =>
      (p.path ?? []).map((name, i) => [plain(name), (p.path ?? []).slice(0, i + 1)] as const),
    ),
  );
  const layout = [...folders.keys()].some((name) => texts.has(name) && !codes.has(name)) ? 'path' : 'list';
  const parentOf = (p: Parameter) => (layout === 'path' ? (p.path ?? []) : []);
  const entries: ShownEntry[] = [];
  for (const p of order) {
    parentOf(p).forEach((_, i, path) => {
      const own = path.slice(0, i + 1);
      if (!entries.some((e) => e.parameter === null && same(e.path, own)))
        entries.push({ parameter: null, path: own, parent: path.slice(0, i) });
    });
    entries.push({ parameter: p, path: parentOf(p), parent: parentOf(p) });
  }
  const labelOf = (entry: ShownEntry) =>
    plain(entry.parameter ? (byCode ? entry.parameter.code : entry.parameter.name) : entry.path.at(-1)!);
  return {
    layout,
    text: !byCode,
    find: (shows) => (shows === null ? null : (entries.find((e) => labelOf(e) === plain(shows)) ?? null)),
    beside: (entry) => entries.filter((e) => same(e.parent, entry.parent)),
  };
}

export const same = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((part, i) => part === b[i]);

const plain = (text: string) => text.trim().toLowerCase();
