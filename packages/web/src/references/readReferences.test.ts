import { StudyInput, validateInput } from '@wheat-ledger/contract';
import { newStudies, referenceKey, toCsl } from './citations';
import { readReferences, splitBibtex } from './readReferences';

const bibtex = (i: number): string =>
  `@article{key${i},\n  title = {Trial ${i} of {S}ilicon},\n  author = {Oak, Anna and Elm, Ben},\n  year = {${2000 + (i % 20)}},\n  journal = {Sample Journal},\n  volume = {${i}},\n  doi = {10.0000/sample.${i}}\n}\n`;

test('a BibTeX file of five hundred entries with five broken ones: 495 are taken, and the five are told', () => {
  const BROKEN = [7, 99, 250, 251, 499];
  const text = Array.from({ length: 500 }, (_, i) => {
    if (!BROKEN.includes(i)) return bibtex(i);
    return i % 2
      ? `@article{broken${i},\n  title = {Never closed,\n  year = {2001}\n`
      : `@article{broken${i},\n  author = {Nobody},\n  year = {2001}\n}\n`;
  }).join('\n');
  const { studies, broken } = readReferences(text);
  expect(studies).toHaveLength(495);
  expect(broken.map((b) => b.at - 1)).toEqual(BROKEN);
  expect(new Set(broken.map((b) => b.why))).toEqual(new Set(['its braces do not close', 'it has no title']));
  expect(studies[0]).toMatchObject({
    title: 'Trial 0 of Silicon',
    authors: 'Oak, Anna; Elm, Ben',
    year: 2000,
    doi: '10.0000/sample.0',
  });
  for (const study of studies.slice(0, 20)) expect(validateInput(StudyInput, study).ok).toBe(true);
});

test('RIS and CSL-JSON are read too, each entry by itself', () => {
  const ris =
    'TY  - JOUR\nTI  - A trial of kelp\nAU  - Oak, Anna\nPY  - 2011\nJO  - Sample Journal\nDO  - 10.0000/k\nER  - \n\nTY  - JOUR\nAU  - Nobody\nER  - \n';
  const read = readReferences(ris);
  expect(read.studies.map((s) => [s.title, s.year, s.authors])).toEqual([['A trial of kelp', 2011, 'Oak, Anna']]);
  expect(read.broken).toHaveLength(1);
  const csl = JSON.stringify([{ title: 'A trial of ash', issued: { 'date-parts': [[1999]] } }, {}]);
  expect(readReferences(csl)).toMatchObject({
    studies: [{ title: 'A trial of ash', year: 1999 }],
    broken: [{ at: 2 }],
  });
});

test('a study goes out as CSL-JSON and comes back as it was', () => {
  const [study] = readReferences(bibtex(3)).studies;
  const back = readReferences(JSON.stringify([toCsl(study!, 'a')])).studies[0]!;
  expect(back).toEqual(study);
});

test('what is neither of these is refused in words', () => {
  expect(() => readReferences('Dear Sir, the trial went well.')).toThrow(/expected a file of BibTeX, RIS or CSL-JSON/);
  expect(() => readReferences('')).toThrow();
  expect(splitBibtex('@string{x = "y"}\n@comment{no}\n')).toEqual([]);
});

test('the same study is known by its DOI, else by title, year and first author', () => {
  const [a, b] = readReferences(bibtex(1) + bibtex(2)).studies as [StudyInput, StudyInput];
  const again = { ...a, title: 'Otherwise called', doi: `https://doi.org/${a.doi.toUpperCase()}` };
  expect(newStudies([again, b, b], [a])).toEqual([b]);
  const without = { ...a, doi: '' };
  expect(referenceKey({ ...without, title: `${a.title.toUpperCase()}.` })).toBe(referenceKey(without));
  expect(referenceKey({ ...without, year: 1901 })).not.toBe(referenceKey(without));
});
