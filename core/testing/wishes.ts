import type { Machine, Wish } from '../src/controllers/panel/index.ts';

/** Some values of a family, each within its range. */
export function someWishes(
  { definition, codes }: Machine,
  random: () => number,
  count: number,
): readonly Wish[] {
  const reached = new Set([...codes.values()].flat());
  const wishes = definition.parameters.flatMap(({ code, encoding }): readonly Wish[] => {
    if (!reached.has(code)) return [];
    if (encoding.type === 'choice') {
      const value = encoding.options[Math.floor(random() * encoding.options.length)]!.value;
      return [{ code, value }];
    }
    if (encoding.type !== 'number') return [];
    const step = typeof encoding.resolution === 'number' ? encoding.resolution : 1;
    const most = Math.min(12, Math.floor((encoding.max - encoding.min) / step));
    return [{ code, value: Number((encoding.min + step * Math.floor(random() * (most + 1))).toFixed(6)) }];
  });
  return wishes
    .map((wish) => ({ wish, at: random() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, count)
    .map(({ wish }) => wish);
}
