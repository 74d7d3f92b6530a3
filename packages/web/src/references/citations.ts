import { blankStudy, type StudyInput } from '@wheat-ledger/contract';

/** An entry of a reference file that could not be read. */
export interface BrokenReference {
  /** Its place in the file, from 1. */
  readonly at: number;
  readonly begins: string;
  readonly why: string;
}
export interface ReadReferences {
  readonly studies: readonly StudyInput[];
  readonly broken: readonly BrokenReference[];
}

/** The fields of CSL-JSON that are read. */
export interface CslItem {
  readonly title?: string;
  readonly author?: readonly { readonly family?: string; readonly given?: string; readonly literal?: string }[];
  readonly issued?: { readonly 'date-parts'?: readonly (readonly (number | string)[])[] };
  readonly 'container-title'?: string;
  readonly volume?: string | number;
  readonly page?: string;
  readonly DOI?: string;
}

export const cut = (text: string, most: number): string => text.replace(/\s+/g, ' ').trim().slice(0, most);
const authorName = ({ family, given, literal }: NonNullable<CslItem['author']>[number]): string =>
  literal ?? [family, given].filter(Boolean).join(', ');
/** A reference as a study of which nothing but its citation is known. */
export function fromCsl(item: CslItem): StudyInput {
  const title = cut(String(item.title ?? ''), 500);
  if (title === '') throw new Error('it has no title');
  const year = Number(item.issued?.['date-parts']?.[0]?.[0]);
  const place = [item['container-title'], item.volume, item.page].filter((p) => p !== undefined && p !== '').join(' ');
  return {
    ...blankStudy(title),
    authors: cut((item.author ?? []).map(authorName).filter(Boolean).join('; '), 500),
    ...(Number.isInteger(year) && year >= 1500 && year <= 2200 ? { year } : {}),
    source: cut(place, 300),
    doi: cut(String(item.DOI ?? ''), 200),
  };
}
/** A study as CSL-JSON. */
export const toCsl = (study: StudyInput, id: string): CslItem & { readonly id: string; readonly type: string } => ({
  id,
  type: 'article-journal',
  title: study.title,
  ...(study.authors
    ? {
        author: study.authors.split(/\s*;\s*/).map((name) => {
          const [family = '', given] = name.split(/\s*,\s*/);
          return given === undefined ? { literal: family } : { family, given };
        }),
      }
    : {}),
  ...(study.year === undefined ? {} : { issued: { 'date-parts': [[study.year]] } }),
  ...(study.source ? { 'container-title': study.source } : {}),
  ...(study.doi ? { DOI: study.doi } : {}),
});

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
/** By what the same study is known again: its DOI, else its title, year and first author. */
export const referenceKey = ({ doi, title, year, authors }: StudyInput): string =>
  doi !== ''
    ? `doi ${doi.toLowerCase().replace(/^https?:\/\/(dx\.)?doi\.org\//, '')}`
    : `${plain(title)} ${year ?? ''} ${plain(authors.split(';')[0]?.split(',')[0] ?? '')}`;
/** Studies that are not there yet, each once. */
export function newStudies(found: readonly StudyInput[], there: readonly StudyInput[]): readonly StudyInput[] {
  const seen = new Set(there.map(referenceKey));
  return found.filter((study) => {
    const key = referenceKey(study);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
