import type { ElkNode } from 'elkjs/lib/elk-api';

/** Layouts that stay on a device: the diagrams of the last few jobs. */
const MOST = 12;
const NAMES = 'brine-layouts';
const nameOf = (key: string) => `brine-layout:${key}`;

interface Kept {
  /** The whole graph that was laid out: two that only share a key are told apart by it. */
  readonly graph: string;
  readonly placed: ElkNode;
}

/**
 * The layout of a graph as it was computed on this device before; null where it was not. The kernel takes a slow phone some seconds, and the same graph comes out the
 * same each time.
 */
export function keptLayout(graph: ElkNode): ElkNode | null {
  const text = JSON.stringify(graph);
  try {
    const kept = JSON.parse(localStorage.getItem(nameOf(keyOf(text))) ?? 'null') as Kept | null;
    return kept?.graph === text ? kept.placed : null;
  } catch {
    return null;
  }
}

/** Keeps a layout, and lets go of the oldest; where there is no room it is computed anew next time. */
export function keepLayout(graph: string, placed: ElkNode): void {
  const key = keyOf(graph);
  try {
    const names = JSON.parse(localStorage.getItem(NAMES) ?? '[]') as string[];
    const now = [...names.filter((name) => name !== key), key];
    for (const old of now.splice(0, Math.max(0, now.length - MOST))) localStorage.removeItem(nameOf(old));
    localStorage.setItem(nameOf(key), JSON.stringify({ graph, placed } satisfies Kept));
    localStorage.setItem(NAMES, JSON.stringify(now));
  } catch {
    // Without room, or without leave to keep anything.
  }
}

/** A short name for a text (FNV-1a, 32 bits). */
function keyOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}
