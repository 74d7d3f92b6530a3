import Papa from 'papaparse';

/** The rows of comma-separated text as lines of a paper, their cells wide apart. */
export const asPaper = (csv: string): string =>
  Papa.parse<string[]>(csv, {})
    .data.map((cells) =>
      cells
        .map((c) => c.trim().replace(/\s+/g, ' '))
        .join('\t')
        .trimEnd(),
    )
    .join('\n');
/** Whether pasted text is a table of comma-separated cells; words before a comma have a space behind it, cells have none. */
export const isCommaTable = (text: string): boolean =>
  /^[^\n,]*(?:,(?! )[^\n,]*){2,}$/m.test(text.trim().split('\n', 1)[0] ?? '');
