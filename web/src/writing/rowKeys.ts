/** Names for rows under which decisions on them are kept: code and description, counted where they stand there twice. */
export function rowKeys(
  rows: readonly { readonly code: string; readonly description: string }[],
): readonly string[] {
  const seen = new Map<string, number>();
  return rows.map(({ code, description }) => {
    const name = `${code}|${description}`;
    const times = (seen.get(name) ?? 0) + 1;
    seen.set(name, times);
    return times === 1 ? name : `${name}|${times}`;
  });
}
