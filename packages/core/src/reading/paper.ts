/** Longer texts are no papers: what is beyond is left out, and that is said. */
export const MOST_LINES = 400;
export const MOST_PER_LINE = 400;

const SUBSCRIPTS = '₀₁₂₃₄₅₆₇₈₉';
/** Letters that other alphabets of a copied text have for ours, each one sign long, so that places in a line stay. */
const SIGNS: Readonly<Record<string, string>> = {
  '％': '%',
  '﹪': '%',
  '：': ':',
  '，': ',',
  '∕': '/',
  '⁄': '/',
  '～': '~',
};

/** A dash between wide gaps, tabs or bars says that a cell of a table is empty. */
const EMPTY_CELL = /(?<=\t|\s{2}|\|\s?)[-–—−]{1,3}(?=\t|\s{2}|\s?\||\s*$)/g;

/**
 * A line as it is read: every sign stays in its place, but for subscripts as digits, odd spaces as spaces, and dots that only lead the eye as spaces.
 * @example printedLine('P₂O₅ ........ 5 %') // 'P2O5          5 %'
 */
export function printedLine(raw: string): string {
  return raw
    .slice(0, MOST_PER_LINE)
    .replace(/[₀-₉]/g, (digit) => String(SUBSCRIPTS.indexOf(digit)))
    .replace(/[％﹪：，∕⁄～]/g, (sign) => SIGNS[sign] ?? sign)
    .replace(/\bU\. ?S\.(?= |$)/g, (us) => 'US'.padStart(us.length))
    .replace(/[^\t\P{Cc}]|[\u00a0\u200b-\u200f\u202f\ufeff\u2007\u2009]/gu, ' ')
    .replace(/[.·•…_]{2,}|(?<=\s)[.·•…](?=\s[.·•…]|\s\s|\s\d)/g, (leader) => ' '.repeat(leader.length))
    .replace(/(?<=(?:^|[\s(:])\d{1,3})·(?=\d)/g, '.')
    .replace(/(?<=\s)s\.u\.(?=\s|$)/gi, '    ')
    .replace(EMPTY_CELL, (dash) => ' '.repeat(dash.length))
    .trimEnd();
}

/** A mark between cells, and how a line is cut at it; a quoted cell keeps its own. */
const SEPARATORS = [
  [/"[^"]*"|;/g, ';'],
  [/"[^"]*"|,(?! )/g, ','],
] as const;
type Separator = (typeof SEPARATORS)[number];
const parted = (line: string, [pattern, mark]: Separator): string =>
  line.replace(pattern, (found) => (found === mark ? '\t' : found.replace(/"/g, ' ')));

/** The mark between the cells of a pasted table: a line of headings, all words, with a line of as many cells. */
function separatorOf(lines: readonly string[]): Separator | undefined {
  return SEPARATORS.find((separator) => {
    const [, mark] = separator;
    const rows = lines.filter((line) => line.includes(mark)).map((line) => parted(line, separator).split('\t'));
    const head = rows.find((cells) => {
      const named = cells.filter((c) => /^\s*[\p{L}%(]/u.test(c)).length;
      return named > 2 && named === cells.filter((c) => c.trim() !== '').length;
    });
    return head !== undefined && rows.some((cells) => cells !== head && cells.length === head.length);
  });
}

/** The lines of a text, whatever ends them; cells parted by commas or semicolons are parted by tabs, where the text has none yet. */
export function linesOf(text: string): readonly string[] {
  const lines = text.split(/\r\n|\r|\n|\u2028|\u2029/);
  const separator =
    /[,;].*[,;]/.test(text) && !text.includes('\t') ? separatorOf(lines.slice(0, MOST_LINES)) : undefined;
  return separator ? lines.map((line) => parted(line, separator)) : lines;
}
