/** A unit as people call it: its tag before its name, where it has one. */
export const unitName = ({ tag, name }: { readonly tag: string; readonly name: string }): string =>
  [tag, name].filter(Boolean).join(' ');
