const words: Readonly<Record<string, string>> = {
  compressor: 'Compressor',
  defrost: 'Defrost',
  fan: 'Evaporator fan',
  condenserFan: 'Condenser fan',
  stage2: 'Second stage',
  alarm: 'Alarm',
};

/** An output in words. */
export function outputWords(output: string): string {
  return words[output] ?? output;
}
