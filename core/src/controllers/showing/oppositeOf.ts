import type { PanelKey } from '../definitions/index.ts';

/** Labels of keys that go opposite ways. */
const pairs: readonly (readonly [RegExp, RegExp])[] = [
  [/^(▲|△|↑|up)$/i, /^(▼|▽|↓|down|dn)$/i],
  [/^\+$/, /^[-−–]$/],
  [/^(▶|→|right)$/i, /^(◀|←|left)$/i],
  [/^(warmer|more|plus)$/i, /^(colder|less|minus)$/i],
];

/** The key that most likely goes the other way than this one: its partner by what is printed on both. Null where it has none. */
export function oppositeOf(keys: readonly PanelKey[], id: string | undefined): string | null {
  const label = labelOf(keys.find((key) => key.id === id));
  for (const [one, other] of pairs) {
    const partner = one.test(label) ? other : other.test(label) ? one : null;
    const found = partner && keys.find((key) => partner.test(labelOf(key)));
    if (found) return found.id;
  }
  return null;
}

const labelOf = (key: PanelKey | undefined) => (key?.label ?? key?.id ?? '').trim();
