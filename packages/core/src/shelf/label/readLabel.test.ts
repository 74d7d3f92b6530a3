import fc from 'fast-check';
import { LABELS } from '../../../test/labels/labels.js';
import { shownDeclared } from '../../quantity/index.js';
import type { AnalysisFigure } from '../product.js';
import { readLabel } from './readLabel.js';

const shown = ({ analyte, basis, value, unit }: AnalysisFigure): string =>
  `${analyte}${basis === 'element' ? '' : `/${basis}`} ${shownDeclared(value)} ${unit}`;

test.each(LABELS.map((l) => [l.name, l] as const))(
  '%s',
  (_name, { text, reads, grade, from, packages, codes, unread }) => {
    const reading = readLabel(text);
    expect(reading.analysis.map(shown).join(', ')).toBe(reads);
    expect(reading.grade).toBe(grade);
    expect(reading.derivedFrom).toEqual(from ?? []);
    expect(reading.packages.map((p) => `${p.size} ${p.unit}`).join()).toBe(packages ?? '');
    expect(reading.findings.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual(codes ?? []);
    if (unread) expect(reading.lines.filter((l) => l.kind === 'notUnderstood').map((l) => l.number)).toEqual(unread);
  },
);
test('there are at least forty labels to learn from', () => expect(LABELS.length).toBeGreaterThanOrEqual(40));

test('every line that is not blank says what it was taken to be', () => {
  for (const { text } of LABELS)
    for (const line of readLabel(text).lines)
      expect([line.text, line.kind === 'blank' ? '' : line.says.length > 0]).toEqual([
        line.text,
        line.kind === 'blank' ? '' : true,
      ]);
});

test('a person’s word outranks the program’s reading, line by line', () => {
  const text = 'Vitality factor 12 %\nNitrogen 5%';
  const reading = readLabel(text, 'label', {
    1: { kind: 'analyte', analyte: 'Si', basis: 'SiO2' },
    2: { kind: 'ignore' },
  });
  expect(reading.analysis.map(shown)).toEqual(['Si/SiO2 12 %']);
  expect(reading.lines.map((l) => l.kind)).toEqual(['analysis', 'setAside']);
  expect(
    readLabel('Just words', 'label', { 1: { kind: 'analyte', analyte: 'N', basis: 'element' } }).lines[0]?.kind,
  ).toBe('notUnderstood');
});

test('an answer on one line holds for the others of the paper', () => {
  const oxide = readLabel('Phosphate (P) 3 %\nPotash (K) 4 %', 'label', {
    1: { kind: 'choice', says: '3 % phosphorus, as P₂O₅' },
  });
  expect(oxide.analysis.map(shown)).toEqual(['P/P2O5 3 %', 'K/K2O 4 %']);
  const thousands = readLabel('K 12,500 mg/kg\nCa 21,400 mg/kg', 'measured', {
    1: { kind: 'choice', says: '12\u2009500 mg/kg potassium' },
  });
  expect(thousands.analysis.map(shown)).toEqual(['K 12\u2009500 mg/kg', 'Ca 21\u2009400 mg/kg']);
  expect(oxide.taught).toEqual({ eitherAs: 'oxide', mark: undefined });
  expect(readLabel('Phosphate (P) 3 %', 'label', {}, oxide.taught).analysis.map(shown)).toEqual(['P/P2O5 3 %']);
  const decimals = readLabel('K 12,500 mg/kg\nCa 21,400 mg/kg', 'measured', {
    1: { kind: 'choice', says: '12.5 mg/kg potassium' },
  });
  expect(decimals.analysis.map(shown)).toEqual(['K 12.5 mg/kg', 'Ca 21.4 mg/kg']);
});

test('figures remember their line and whether they were measured', () => {
  const [figure] = readLabel('Heading\nNitrogen 5%', 'measured').analysis;
  expect([figure?.provenance, figure?.source]).toEqual(['measured', 'line 2: Nitrogen 5%']);
});

test('a megabyte of anything is read up to its limit, and that is said', () => {
  const long = readLabel('Nitrogen 5 %\n'.repeat(80_000));
  expect(long.lines).toHaveLength(400);
  expect(long.findings.map((f) => f.code)).toContain('label.long');
  expect(readLabel('9'.repeat(1_000_000)).analysis).toEqual([]);
  expect(readLabel('('.repeat(200_000)).analysis).toEqual([]);
});

test('a row of numbers is no line of a label, and is told at once however many lines there are', () => {
  const rows = readLabel(Array.from({ length: 400 }, () => '1 '.repeat(200)).join('\n'));
  expect(new Set(rows.lines.map((l) => l.says))).toEqual(new Set(['more than 24 numbers in a line']));
});

const labelish = fc
  .array(
    fc.oneof(
      fc.string({ maxLength: 40 }),
      fc.constantFrom(
        'Nitrogen',
        'P2O5',
        '5%',
        '<',
        '…',
        '. . . .',
        '(3 % P)',
        '5-3-4',
        '\t',
        'derived from',
        '1,5',
        'mg/kg',
        'dry matter',
        'moisture',
        'net weight',
        'density',
        '\u0000',
      ),
    ),
    { maxLength: 30 },
  )
  .map((parts) => parts.join(' '));
test('no text makes it throw, and no number is invented: each one stands in its line', () => {
  fc.assert(
    fc.property(
      fc.array(labelish, { maxLength: 6 }).map((l) => l.join('\n')),
      (text) => {
        const { lines } = readLabel(text);
        for (const line of lines)
          for (const { value, source } of line.figures) {
            if (/protein|pure salt|\d\s*\/\s*\d/.test(source)) continue;
            const numbers =
              value.kind === 'number'
                ? [value.value]
                : value.kind === 'below'
                  ? [value.limit]
                  : [value.low, value.high];
            const plain = line.text.replaceAll(',', '.');
            const written = [/\d+(?:\.\d+)?/g, /\.\d+/g].flatMap((p) =>
              [...plain.matchAll(p)].map((m) => Number(m[0])),
            );
            // "max 5 %" is anything from nothing on.
            for (const n of numbers) if (n > 0) expect(written).toContain(n);
          }
      },
    ),
    { numRuns: 500 },
  );
});
test('a unit that would be more than the whole is not taken for one', () => {
  const figures = readLabel('1 G/ mg/kg … K').lines.flatMap((l) => l.figures.map((f) => f.value));
  expect(figures).not.toContainEqual({ kind: 'number', value: 1_000_000 });
});

const slip = (text: string): string[] =>
  readLabel(text, 'measured').analysis.map((f) => `${shown(f)}${f.extract ? ' extract' : ''}`);
test('a lab slip’s extract and total are two columns, by the word in the line', () =>
  expect(
    slip(
      'Total phosphorus 4500 mg/kg\nAvailable phosphorus (water extract) 310 mg/kg\nExtractable potassium 2100 mg/kg\nTotal potassium 9800 mg/kg',
    ),
  ).toEqual(['P 4500 mg/kg', 'P 310 mg/kg extract', 'K 2100 mg/kg extract', 'K 9800 mg/kg']));
test('or by a heading that holds for the lines below it', () =>
  expect(slip('Water extract, mg/kg\nPhosphorus 310\nMagnesium 85\nTotal digest, mg/kg\nPhosphorus 4500')).toEqual([
    'P 310 mg/kg extract',
    'Mg 85 mg/kg extract',
    'P 4500 mg/kg',
  ]));
test('nitrogen’s forms have words of their own, and a label’s available phosphate is its guarantee', () => {
  expect(slip('Water soluble nitrogen 2 %\nTotal nitrogen 9 %')).toEqual(['N.waterSolubleOrganic 2 %', 'N 9 %']);
  expect(readLabel('Available Phosphate (P2O5) 3 %').analysis.map((f) => f.extract)).toEqual([undefined]);
});
test('an extract above its total cannot be: one of them is on the other basis', () => {
  const codes = (text: string): string[] => readLabel(text, 'measured').findings.map((f) => f.code);
  expect(codes('Available potassium 5 %\nTotal potassium 4.2 %')).toContain('extract.aboveTotal');
  expect(codes('Available potassium 4 %\nTotal potassium 4.2 %')).not.toContain('extract.aboveTotal');
});

test('figures on dry matter wait for the moisture, and are taken over once it is told, wherever it stands', () => {
  const waiting = readLabel('mg/kg dry weight\nNitrogen 14500', 'measured');
  expect(waiting.analysis).toEqual([]);
  expect(waiting.lines[1]!.says).toBe('14\u2009500 mg/kg nitrogen, on dry matter: waits for the moisture');
  expect(waiting.findings.find((f) => f.code === 'label.dry')?.message).toContain('Add a line such as “Moisture 12 %”');
  const told = readLabel('mg/kg dry weight\nNitrogen 14500\nMoisture 40 %', 'measured');
  expect(told.analysis[0]?.value).toEqual({ kind: 'number', value: 8700 });
  expect(told.lines[1]!.says).toBe('14\u2009500 mg/kg nitrogen, on dry matter');
});
