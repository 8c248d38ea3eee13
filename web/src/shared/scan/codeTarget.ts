/** Where the code of a unit leads: to its page, or, from a sheet, to the page that anybody may read. */
export type CodeTarget = { readonly unit: string } | { readonly share: string };

const UNIT = /^\/units\/([0-9a-f-]{36})$/;
const SHARE = /^\/u\/([\w-]{10,40})$/;

/**
 * What a code's text stands for; null where it is no code of a unit. The host is not asked: a company that moved its address keeps the labels on its units.
 */
export function targetOf(text: string): CodeTarget | null {
  let path: string;
  try {
    path = new URL(text).pathname;
  } catch {
    return null;
  }
  const unit = UNIT.exec(path)?.[1];
  if (unit) return { unit };
  const share = SHARE.exec(path)?.[1];
  return share ? { share } : null;
}

/** What stands on a unit's label. */
export const unitAddress = (base: string, unitId: string): string => `${base}/units/${unitId}`;
