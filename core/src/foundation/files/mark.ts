/** FNV-1a, 32 bits (Fowler, Noll, Vo): offset and prime. */
const OFFSET = 0x811c9dc5;
const PRIME = 0x01000193;

function fnv(text: string, seed: number): number {
  let hash = (OFFSET ^ seed) >>> 0;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), PRIME) >>> 0;
  return hash;
}

/** Plain data with the fields of each object in the order of their names, without those that are undefined. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, field]) => field !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([name, field]) => [name, inOrder(field)]),
  );
}

/** A mark of plain data, 16 hexadecimal digits: the same data have the same mark in whatever order their fields stand. It tells a change; it is no seal. */
export function markOf(value: unknown): string {
  const text = JSON.stringify(inOrder(value));
  return [0, 0x9e3779b9].map((seed) => fnv(text, seed).toString(16).padStart(8, '0')).join('');
}
