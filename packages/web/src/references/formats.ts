/** Formats in which references go out, with the ending of their files. */
export const REFERENCE_FORMATS = { bibtex: 'bib', ris: 'ris', csl: 'json' } as const;
export type ReferenceFormat = keyof typeof REFERENCE_FORMATS;
