/** Glycol and water, half and half: kg/m³ and J/(kg·K), from memory. */
const DENSITY = 1065;
const HEAT = 3400;
/** What moving air takes up at a small bottle, W/(m²·K) (common practice: 5 where it stands, 15 before a fan). */
const AIR_SIDE = 10;

/**
 * Seconds after which a probe in a bottle of so many millilitres has followed the air by 63 %: the heat the bottle holds over what passes its surface, a
 * cylinder as high as it is wide. 0 for no bottle.
 */
export function followsAfter(millilitres: number): number {
  if (millilitres <= 0) return 0;
  const volume = millilitres * 1e-6;
  const width = Math.cbrt((4 * volume) / Math.PI);
  const surface = 1.5 * Math.PI * width * width;
  return (DENSITY * HEAT * volume) / (AIR_SIDE * surface);
}

/** What a probe reads that follows the air after so many seconds; a sample every `step` s, held until the next; it begins as warm as the first. */
export function readsOf(air: readonly number[], step: number, seconds: number): readonly number[] {
  if (seconds <= 0) return air;
  const share = 1 - Math.exp(-step / seconds);
  let reads = air[0] ?? 0;
  const course: number[] = [];
  for (const t of air) {
    course.push(reads);
    reads += share * (t - reads);
  }
  return course;
}
