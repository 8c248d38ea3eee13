/** A flag to be placed: its staff's position and the width of its label, px. */
export interface FlagSize {
  readonly id: string;
  readonly x: number;
  readonly width: number;
  readonly side: 'left' | 'right';
}

/** A placed flag: left edge and row; row 0 is nearest to the line. */
export interface PlacedFlag {
  readonly id: string;
  readonly x: number;
  readonly left: number;
  readonly width: number;
  readonly row: number;
}

const GAP = 6;

/**
 * Places flags so that no two labels overlap and none leaves the rule: each flies to its own side, turned where the edge is too near,
 * in the lowest free row where it does not cover the staff of a flag further left that flies higher.
 */
export function layoutFlags(flags: readonly FlagSize[], ruleWidth: number): readonly PlacedFlag[] {
  const placed: PlacedFlag[] = [];
  for (const flag of [...flags].sort((a, b) => a.x - b.x)) {
    const left = leftEdge(flag, ruleWidth);
    let row = 0;
    while (
      placed.some((other) => other.row === row && overlaps(left, flag.width, other.left, other.width)) ||
      crossesStaff(placed, left, flag, row)
    )
      row += 1;
    placed.push({ id: flag.id, x: flag.x, left, width: flag.width, row });
  }
  return placed;
}

function leftEdge(flag: FlagSize, ruleWidth: number): number {
  const wanted = flag.side === 'left' ? flag.x - flag.width : flag.x;
  const turned = flag.side === 'left' ? flag.x : flag.x - flag.width;
  const fits = (left: number) => left >= 0 && left + flag.width <= ruleWidth;
  if (fits(wanted)) return wanted;
  return fits(turned) ? turned : Math.max(0, Math.min(wanted, ruleWidth - flag.width));
}

/** A label in a low row must not cover the staff of a flag that flies higher. */
function crossesStaff(placed: readonly PlacedFlag[], left: number, flag: FlagSize, row: number): boolean {
  return placed.some((other) => other.row > row && other.x > left + 1 && other.x < left + flag.width - 1);
}

function overlaps(a: number, aWidth: number, b: number, bWidth: number): boolean {
  return a < b + bWidth + GAP && b < a + aWidth + GAP;
}
