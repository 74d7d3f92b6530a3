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

/**
 * A line as it is read: every sign stays in its place, but for subscripts as digits, odd spaces as spaces, and dots that only lead the eye as spaces.
 * @example printedLine('P₂O₅ ........ 5 %') // 'P2O5          5 %'
 */
export function printedLine(raw: string): string {
  return raw
    .slice(0, MOST_PER_LINE)
    .replace(/[₀-₉]/g, (digit) => String(SUBSCRIPTS.indexOf(digit)))
    .replace(/[％﹪：，∕⁄～]/g, (sign) => SIGNS[sign] ?? sign)
    .replace(/[^\t\P{Cc}]|[\u00a0\u200b-\u200f\u202f\ufeff\u2007\u2009]/gu, ' ')
    .replace(/[.·•…_]{2,}|(?<=\s)[.·•…](?=\s[.·•…]|\s\s|\s\d)/g, (leader) => ' '.repeat(leader.length))
    .trimEnd();
}

/** The lines of a text, whatever ends them. */
export const linesOf = (text: string): readonly string[] => text.split(/\r\n|\r|\n|\u2028|\u2029/);
