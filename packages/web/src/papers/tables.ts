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
