/** Half of a character: what a field of limited length leaves of an emoji. And NUL, which no database keeps. */
const UNSTORABLE = /\p{Surrogate}|\0/gu;

/** A plain value whose texts hold whole characters only, so that what is typed can be stored. Anything else stays as it is. */
export function wholeText<Value>(value: Value): Value {
  if (typeof value === 'string') return value.replace(UNSTORABLE, '') as Value;
  if (Array.isArray(value)) return value.map((item: unknown) => wholeText(item)) as Value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, wholeText(item)])) as Value;
}
