import type { Fate } from './fate.js';

/** Numbers that are no figures wherever they stand, with what they are. The whole match is set aside, or its first group. */
const PATTERNS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:https?:\/\/|www\.)\S+|\S+@\S+\.\S+/gi, 'an address'],
  [/(?<![\d.,/-])\d{4}[-/.]\d{1,2}[-/.]\d{1,2}(?:[T ]\d{1,2}:\d{2}(?::\d{2})?)?(?![\d-])/g, 'a date'],
  [/(?<![\d.,/-])\d{1,2}([-/.])\d{1,2}\1(?:19|20)\d{2}(?!\d)/g, 'a date'],
  [/(?<![\d.,/])\d{1,2}\.? (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\w*\.? (?:19|20)\d{2}(?!\d)/gi, 'a date'],
  [/\b(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.? \d{1,2},? (?:19|20)\d{2}(?!\d)/gi, 'a date'],
  [
    /(?<![\d.,/])\d{1,2}\.? (?:january|february|march|april|may|june|july|august|september|october|november|december)(?![\p{L}\d])/giu,
    'a date',
  ],
  [/(?<![\d:])\d{1,2}:\d{2}(?::\d{2})?\s?(?:am|pm|h\b|uhr)/gi, 'a time'],
  [/(?:tel|phone|fax|call|telefon|tél|tlf|ring)\b[.:\s]*\+?[\d][\d\s()/-]{5,}\d/gi, 'a telephone number'],
  [/\+\d{1,3}[\s\d()/-]{7,}\d/g, 'a telephone number'],
  [
    /(?<![\p{L}\d.:])1(?:\s:\s|:)\d{1,2}(?:[.,]\d)?(?![\d:])(?=\s*(?:v\/v|w\/v|m\/v|w|soil|extract|h2o|water|suspension|\(|\)|,|$|[a-z]))/giu,
    'parts of soil and water',
  ],
  [
    /(?<![\d.,])(?<!\bpH\s*:?\s*)\d+(?:[.,]\d+)?(?:\s?(?:[-–]|to|bis|à|a)\s?\d+(?:[.,]\d+)?)?\s?(?:cm|mm|inch(?:es)?|in\.|in(?=[\s),;]|$)|µm|mesh)(?![\p{L}³3²2])(?!\s*rain)/giu,
    'a depth or a size',
  ],
  [
    /(?<![\d.,])-?\d+(?:[.,]\d+)?\s?(?:°\s?[CF]?(?![\p{L}])|(?<=\b(?:at|bei|à|a|ved|vid|bij) \d{1,2}\s?)C(?![\p{L}])|(?<=\d\s)deg\.? ?[CF]\b)/giu,
    'a temperature',
  ],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?\s?%(?=\s?-?(?:ige[rn]?\s)?(?:citric|formic|zitronen|citronen|ameisen|acide (?:citrique|formique)|[áa]cido (?:c[ií]trico|f[oó]rmico)|acido (?:citrico|formico)|citroenzuur|mierenzuur|citronsyra|myrsyra|kwas))/gi,
    'the strength of an acid',
  ],
  [
    /(?<=(?:citric acid|formic acid|acide citrique|acide formique|[áa]cido c[ií]trico|[áa]cido f[oó]rmico|acido citrico|zitronens[äa]ure|citroenzuur)\s(?:at|a|à|al|von)?\s?)\d+(?:[.,]\d+)?\s?%/giu,
    'the strength of an acid',
  ],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?\s?(?:M|N|mol\/l|mol)(?=\s(?:k?cl|cacl2|ca?cl|nh4|hcl|ammonium|potassium|calcium))/gi,
    'the strength of an extract',
  ],
  [
    /\b(?:sample|page|sheet|probe|blatt|seite|pagina|p[aá]gina|[eé]chantillon|muestra|campione|monster|strona|pr[oó]bka|prov|sida)\s+\d+\s?(?:of|\/|von|sur|de|di|van|z|av)\s?\d+/gi,
    'a count of pages or samples',
  ],
  [
    /\b(?:manufactured|made|distributed|packed|marketed|imported|sold) (?:by|for)\b[^%]*$|\b(?:inverkehrbringer|hersteller|vertrieb|importeur|fabricant|distributeur|fabricante|distribuidor|produttore|distributore|producent|fabrikant|tillverkare|dystrybutor|importador|fabriqu[eé] par|distribu[eé] par|fabricado por|distribuido por|prodotto da|distribuito da|geproduceerd door|wyprodukowano przez|responsible person)\b[^%]*$/giu,
    'an address',
  ],
  [
    /(?<![\d.,])\d+(?:[.,]\d+)?(?:\s?(?:[-–]|to|bis|à|a)\s?\d+)?\s?(?:days?|weeks?|months?|years?|hours?|tagen?|wochen|monaten?|jahren?|jours?|semaines|mois|d[ií]as|semanas|mes(?:es|i)|giorni|settimane|dagen|weken|maanden|dni|tygodni|miesi[eę]cy|dagar|veckor|m[aå]nader)(?![\p{L}\d])/giu,
    'a length of time',
  ],
  [/(?<![\p{L}\d])k\s?=\s?2(?:[.,]0)?(?![\d.,])/giu, 'how many times the standard uncertainty'],
  [/\b(?:mehlich|bray|meh|m-)[- ]?(?:p[- ]?)?[123](?![\d.,]\d|\d)/gi, 'a method'],
  [/\b(?:ISO|DIN|EN|CAS|NF ?U?|UNI|BS)[\s:]*(?:No\.?|Nr\.?|X)?\s*\d[\d/.:-]*\d(?![\d.,]*\s*%)/g, 'a number of a rule'],
  [
    // Letters in capitals beside a number of four digits or 123.45 are somebody's rule or method, whoever they are.
    /\b(?!NPK|PK|NP|NK)[A-Z]{3,6}\s(?:No\.?\s?|Nr\.?\s?)?(?:\d{4}[A-Z]?|\d{3}\.\d{2})(?![\d.,])(?!\s*(?:%|‰|m?g\b|kg\b|ppm\b|[µu]g\b|ml\b|lbs?\b))/g,
    'a number of a rule',
  ],
  [
    /\b(?:reg(?:ulation)?|verordnung|r[eè]glement|reglamento|regolamento|verordening|e[cugw]|ue|we)\b[\s.:()]*(?:no\.?|nr\.?|n°|\(?e[cugw]\)?)?\s*\d{2,4}\/\d{2,4}/gi,
    'a number of a rule',
  ],
  [/\b(?:no\.?|nr\.?|n°|art\.?)[\s.:]*\d[\d/.-]*\d(?![\d.,]*\s*%)/gi, 'a number of a file'],
  [/#\s?\d+(?:[/-]\d+)*(?![\d.,/-]*(?:\d|\s*%))/g, 'a number of a file'],
  [/(?<![\p{L}\d-])(?!NPK)[A-Z]{2,5}-\d{3,}(?![\d.,-]*(?:\d|\s*%))/gu, 'a number of a file'],
  [/(?<![\d.,])\d+(?:[.,]\d+)?\s?[-–]\s?\d+(?:[.,]\d+)?\s?["”″]/g, 'a depth or a size'],
  [
    /\b(?:pr[uü]fbericht|auftrag|report|rapport|informe|rapporto|relat[oó]rio|raport|job|order|client|customer|account)\b[\s.:]*(?:no\.?|nr\.?|n°|id)?[\s.:]*\d[\d/.-]*\d(?![\d.,]*\s*%)/giu,
    'a number of a file',
  ],
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
