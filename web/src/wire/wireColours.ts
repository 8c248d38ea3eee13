/** Colours of conductors with their letter codes (IEC 60757) and how they are drawn on paper and in the box. */
export const wireColours: Readonly<
  Record<string, { readonly code: string; readonly light: string; readonly dark: string }>
> = {
  black: { code: 'BK', light: '#17282b', dark: '#a9b8ba' },
  white: { code: 'WH', light: '#ffffff', dark: '#ffffff' },
  red: { code: 'RD', light: '#c0392b', dark: '#ff7a6b' },
  blue: { code: 'BU', light: '#1f6f95', dark: '#6cc1ea' },
  orange: { code: 'OG', light: '#c9701b', dark: '#ffad5c' },
  yellow: { code: 'YE', light: '#d4b106', dark: '#f5dd55' },
  violet: { code: 'VT', light: '#6d5b95', dark: '#b9a5ec' },
  brown: { code: 'BN', light: '#7a4b2a', dark: '#c99268' },
  grey: { code: 'GY', light: '#7c8a8b', dark: '#98a8aa' },
  green: { code: 'GN', light: '#3b7a4a', dark: '#8fd69c' },
  'green-yellow': { code: 'GNYE', light: '#5f8f1f', dark: '#b7dc6a' },
  pink: { code: 'PK', light: '#cf6d8e', dark: '#ffa3c0' },
  turquoise: { code: 'TQ', light: '#2a9d8f', dark: '#7fe0d4' },
};

/** The letter code of a colour; the first letters of a colour nobody listed. */
export function colourCode(colour: string): string {
  return wireColours[colour]?.code ?? colour.slice(0, 3).toUpperCase();
}

/** How a conductor is drawn; unknown colours in soft ink. */
export function colourOf(colour: string, dark: boolean): string {
  const known = wireColours[colour];
  return known ? (dark ? known.dark : known.light) : dark ? '#b4c3c4' : '#56656a';
}
