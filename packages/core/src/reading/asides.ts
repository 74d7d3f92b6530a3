import type { Fate } from './fate.js';

/** Numbers that are no figures wherever they stand, with what they are. The whole match is set aside, or its first group. */
const PATTERNS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:https?:\/\/|www\.)\S+|\S+@\S+\.\S+/gi, 'an address'],
  [/(?<![\d.,/-])\d{4}[-/.]\d{1,2}[-/.]\d{1,2}(?:[T ]\d{1,2}:\d{2}(?::\d{2})?)?(?![\d-])/g, 'a date'],
  [/(?<![\d.,/-])\d{1,2}([-/.])\d{1,2}\1(?:19|20)\d{2}(?!\d)/g, 'a date'],
  [/(?<![\d.,/])\d{1,2}\.? (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\w*\.? (?:19|20)\d{2}(?!\d)/gi, 'a date'],
  [/\b(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.? \d{1,2},? (?:19|20)\d{2}(?!\d)/gi, 'a date'],
  [/(?<![\d:])\d{1,2}:\d{2}(?::\d{2})?\s?(?:am|pm|h\b|uhr)/gi, 'a time'],
  [/(?:tel|phone|fax|call|telefon|tél|tlf|ring)\b[.:\s]*\+?[\d][\d\s()/-]{5,}\d/gi, 'a telephone number'],
  [/\+\d{1,3}[\s\d()/-]{7,}\d/g, 'a telephone number'],
  [
    /(?<![\p{L}\d.:])1(?:\s:\s|:)\d{1,2}(?:[.,]\d)?(?![\d:])(?=\s*(?:v\/v|w\/v|m\/v|w|soil|extract|h2o|water|suspension|\(|\)|$|[a-z]))/giu,
    'parts of soil and water',
  ],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?(?:\s?(?:[-–]|to|bis|à|a)\s?\d+(?:[.,]\d+)?)?\s?(?:cm|mm|inch(?:es)?|in\.|in(?=[\s),;]|$)|µm|mesh)(?![\p{L}³3²2])(?!\s*rain)/giu,
    'a depth or a size',
  ],
  [/(?<![\d.,])-?\d+(?:[.,]\d+)?\s?(?:°\s?[CF]?(?![\p{L}])|(?<=\d\s)deg\.? ?[CF]\b)/giu, 'a temperature'],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?\s?%(?=\s?-?(?:ige[rn]?\s)?(?:citric|formic|zitronen|citronen|ameisen|acide (?:citrique|formique)|[áa]cido (?:c[ií]trico|f[oó]rmico)|acido (?:citrico|formico)|citroenzuur|mierenzuur|citronsyra|myrsyra|kwas))/gi,
    'the strength of an acid',
  ],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?\s?(?:M|N|mol\/l|mol)(?=\s(?:k?cl|cacl2|ca?cl|nh4|hcl|ammonium|potassium|calcium))/gi,
    'the strength of an extract',
  ],
  [/\b(?:mehlich|bray|meh|m-)[- ]?(?:p[- ]?)?[123](?![\d.,]\d|\d)/gi, 'a method'],
  [
    /\b(?:ISO|DIN|EN|AOAC|EPA|CAS|VDLUFA|NF|UNI|BS)[\s:]*(?:No\.?|Nr\.?|X)?\s*\d[\d/.:-]*\d(?![\d.,]*\s*%)/g,
    'a number of a rule',
  ],
  [
    /\b(?:reg(?:ulation)?|verordnung|r[eè]glement|reglamento|regolamento|verordening|e[cugw]|ue|we)\b[\s.:()]*(?:no\.?|nr\.?|n°|\(?e[cugw]\)?)?\s*\d{2,4}\/\d{2,4}/gi,
    'a number of a rule',
  ],
  [/\b(?:no\.?|nr\.?|n°|art\.?)[\s.:]*\d[\d/.-]*\d(?![\d.,]*\s*%)/gi, 'a number of a file'],
];

export interface Aside extends Pick<Fate, 'start' | 'end' | 'why'> {
  readonly fate: 'setAside';
}

/** A line with the numbers that are no figures made blank, each sign in its place; and what they are. @example withoutAsides('pH 1:5 water 6.2').line // 'pH     water 6.2' */
export function withoutAsides(line: string): { readonly line: string; readonly asides: readonly Aside[] } {
  const asides: Aside[] = [];
  let rest = line;
  for (const [pattern, why] of PATTERNS)
    rest = rest.replace(pattern, (whole: string, ...args: unknown[]) => {
      const start = args.find((a): a is number => typeof a === 'number') ?? 0;
      if (!/\d/.test(whole)) return whole;
      asides.push({ start, end: start + whole.length, fate: 'setAside', why });
      // A method keeps its name, with a letter for its number: it tells how was measured.
      return why === 'a method' ? whole.replace(/\d/g, (n) => '-abc'[Number(n)] ?? '') : whole.replace(/\S/g, ' ');
    });
  return { line: rest, asides };
}
