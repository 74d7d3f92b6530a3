import { blankStudy } from '@wheat-ledger/contract';
import { readReferences } from './readReferences';
import type { ReferenceFormat } from './formats';
import { writeReferences } from './writeReferences';

const studies = [
  {
    ...blankStudy('Silicon & straw: 50 % less {lodging}'),
    id: '00000000-0000-4000-8000-000000000001',
    authors: 'Oak, Anna; Müller, Björn',
    year: 2019,
    source: 'Invented Journal of Straw',
    doi: '10.5555/abc.1',
  },
  { ...blankStudy('Without anything'), id: '00000000-0000-4000-8000-000000000002' },
];

test.each<ReferenceFormat>(['bibtex', 'ris', 'csl'])('what goes out as %s comes back the same', (format) => {
  const back = readReferences(writeReferences(studies, format));
  expect(back.broken).toEqual([]);
  expect(back.studies).toEqual(studies.map(({ title, doi }) => expect.objectContaining({ title, doi })));
  expect(back.studies[0]).toMatchObject({
    authors: 'Oak, Anna; Müller, Björn',
    year: 2019,
    source: 'Invented Journal of Straw',
  });
});
