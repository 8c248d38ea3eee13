/** Share of the machine that the rooms ask for: more when it is warm outside and while people work. Common practice, invented in its numbers. */
export function loadShare(outdoor: number, secondOfDay: number): number {
  const working = secondOfDay >= 7 * 3600 && secondOfDay < 20 * 3600;
  return Math.min(0.95, Math.max(0.15, (0.5 + 0.012 * (outdoor - 20)) * (working ? 1.1 : 0.8)));
}
