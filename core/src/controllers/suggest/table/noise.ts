/** What stands in a booklet around its rows and is none of them: page headers and footers, notes, footnotes, addresses. */
const noise: readonly RegExp[] = [
  /^\(?(page|pag\.?|p\.)\s*\d+/i,
  /\bpage \d+( of \d+)?$/i,
  /^-?\s*\d{1,3}\s*-?$/,
  /^\d+\s*\/\s*\d+$/,
  /^(rev|ver|version|edition|issue|ed)\.?\s*[\d.]+\b/i,
  /(www\.|https?:|@[a-z]+\.|©|\(c\) \d{4}|all rights reserved)/i,
  /^(\*|†|‡|¹|²|³|\(\*+\)|\(\d\)\s)/,
  /^(notes?|n\.?b\.?|attention|warning|caution|important|remarks?|hint|tip|legend|key to)\b\s*[:.!–-]?/i,
  /^(table|fig(ure)?|chapter|section|annex|appendix)\s*\d/i,
];

export const isNoise = (text: string): boolean => noise.some((pattern) => pattern.test(text.trim()));

/** A sentence: many words, a verb's shape, a full stop; no booklet's description is one. */
export const isSentence = (text: string): boolean => {
  const words = text.trim().split(/\s+/);
  return (
    words.length >= 6 &&
    /[.!]$/.test(text.trim()) &&
    !/\b(approx|max|min|temp|comp|evap|param)\.$/i.test(text.trim())
  );
};

/** `**Defrost**`, `-- Defrost --`: a title set in bold or between strokes. */
export const undecorated = (text: string): string =>
  text
    .trim()
    .replace(/^\*\*(.+?)\*\*/, '$1')
    .replace(/^([-–—=#*_~•]{2,})\s*(.*?)\s*[-–—=#*_~•]*$/, '$2');

/** A group that says so: "Menu D - defrost", "Folder CP". */
export const saysGroup = (text: string): boolean =>
  /^(menu|folder|group|section|level|page of|list of)\b.{0,40}$/i.test(text.trim()) && !/\d{2}/.test(text);

/** A group's title: few words, no numbers, begun with a capital or all in capitals, often with a colon. */
export const isHeading = (text: string): boolean => {
  const line = text.trim().replace(/[:.]$/, '');
  const words = line.split(/\s+/);
  return (
    words.length <= 6 &&
    !/\d/.test(line.replace(/^\d+(\.\d+)*[.)]?\s+/, '')) &&
    /^([A-Z]|\d+(\.\d+)*[.)]?\s+[A-Z])/.test(line) &&
    !/[,;=]/.test(line)
  );
};

/** Goes on where the line before was broken: begins small, with a bracket, a stroke or an option. */
export const isContinuation = (text: string): boolean => /^[a-z("'/=–-]/.test(text.trim());

/** `0 = heater` alone in a line of cells: an option of the row before. Its place tells it from a row, so any code and any words will do. */
export const isOptionLine = (text: string): boolean => /^\(?[A-Za-z0-9]{1,4}\)?\s*[=:]\s*\S/.test(text);

/** The same among lines of text, where a row may begin alike: `0 = off`, `1: on`, `AUTO - by itself`; its code and its words. */
export const optionLine = /^\(?([A-Za-z]{1,4}|\d{1,2})\)?\s*[=:–-]\s*([A-Za-z].*)$/;
