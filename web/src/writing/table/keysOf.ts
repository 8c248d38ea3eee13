/** The keys of a record that has all of its keys, in their order, with their type. */
export function keysOf<Key extends string>(record: Readonly<Record<Key, unknown>>): Key[] {
  return Object.keys(record) as Key[];
}
