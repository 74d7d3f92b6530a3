import fc from 'fast-check';
import { readPackages } from './packages.js';

const sizes = (line: string): string => {
  const read = readPackages(line);
  if (read.kind === 'ask') return `? ${read.question}`;
  return read.kind === 'none' ? '' : read.packages.map((p) => `${Number(p.size.toPrecision(6))} ${p.unit}`).join(', ');
};

describe('what a package holds, in any order and wording', () => {
  test.each([
    ['25 kg net', '25 kg'],
    ['25kg', '25 kg'],
    ['NET MASS 25KG', '25 kg'],
    ['Net Wt. 50 LB (22.7 kg)', '50 lb'],
    ['NET WEIGHT 40 lbs. (18.14 kg)', '40 lb'],
    ['Net contents: 1 US gal (3.785 L)', '1 US gal'],
    ['Net contents 1 gallon (3.78 L)', '1 US gal'],
    ['Net Wt 1.5 cu ft (42.5 L)', '1.5 ft³'],
    ['50-lb bag', '50 lb'],
    ['40 L bag', '40 L'],
    ['Bag of 20 kg', '20 kg'],
    ['2 × 10 L', '20 L'],
    ['Box 12 x 1 L', '12 L'],
    ['500 mL ℮', '500 mL'],
    ['Netto 20 kg', '20 kg'],
    ['Nettofüllmenge: 7,5 kg', '7.5 kg'],
    ['Inhalt 5 L (Kanister)', '5 L'],
    ['Nettogewicht: 600 kg Big Bag', '600 kg'],
    ['Poids net : 25 kg', '25 kg'],
    ['Contenu 1 L', '1 L'],
    ['Sac de 40 kg', '40 kg'],
    ['Peso neto 25 kg', '25 kg'],
    ['Contenido neto: 500 ml', '500 mL'],
    ['Peso netto 25 kg', '25 kg'],
    ['Contenuto: 1,5 litri', '1.5 L'],
    ['Inhalt: 70 Liter', '70 L'],
    ['Inhalt ca. 70 L', '70 L'],
    ['Contents approx. 70 L', '70 L'],
    ['Peso neto: 5 kilogramos', '5 kg'],
    ['Netto inhoud 20 L', '20 L'],
    ['Peso líquido: 15 kg', '15 kg'],
    ['Masa netto 25 kg', '25 kg'],
    ['Zawartość: 1 L', '1 L'],
    ['Nettovikt 20 kg', '20 kg'],
    ['Nettoindhold 10 L', '10 L'],
    ['1 m³', '1 m³'],
    ['1 000 kg net', '1000 kg'],
  ])('%s: %s', (line, found) => expect(sizes(line)).toBe(found));
});

describe('what looks like a package and is none', () => {
  test.each([
    'Apply 50 kg/ha in spring',
    'Use 20 kg per acre',
    'Covers 5,000 sq ft at 10 lb',
    '10 lb per 1,000 sq ft',
    'Gross weight 26 kg',
    'Bruttogewicht 26 kg',
    'Batch 25 kg 7',
    'Dosierung: 30 g je Pflanze',
    'Dilute 5 mL in 1 L of water',
    '30–50 g/m²',
    'Total Nitrogen 5 %',
    'P2O5 8 %',
    'Tel. 555 1234',
    'Best before 12 2027',
    'Content: nitrogen 5 g',
    'Salt content of the water 2 g',
    '',
  ])('%s', (line) => expect(sizes(line)).toBe(''));
});

test('a size that could be two is asked about, unless the bracket settles it', () => {
  expect(sizes('Net weight 1.250 kg')).toMatch(/^\? “1\.250 kg” could be 1\.25 kg or 1250 kg: say which\.$/);
  expect(sizes('Net weight 1.250 kg (1250 g)')).toBe('1.25 kg');
  expect(sizes('Net contents 2 gal')).toMatch(/could be 2 US gal or 2 imp gal/);
  expect(readPackages('Net weight 1.250 kg', 'point')).toMatchObject({ packages: [{ size: 1.25, unit: 'kg' }] });
});

test('both sizes of one line are kept, one said twice is not', () => {
  expect(sizes('Bags of 10 kg; bags of 25 kg')).toBe('10 kg, 25 kg');
  expect(sizes('Net 25 kg, 55.1 lb')).toBe('25 kg');
});

test('no number is made up: every size stands in the line, whatever the line', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 120 }), (line) => {
      const read = readPackages(`${line} 7 kg net ${line}`);
      if (read.kind !== 'packages') return;
      for (const { size, start, end } of read.packages) {
        expect(size).toBeGreaterThan(0);
        expect(`${line} 7 kg net ${line}`.slice(start, end)).toMatch(/[\d½¼¾]/);
      }
    }),
  );
});

test('a line of a hundred thousand signs takes no longer than its length allows', () => {
  for (const piece of ['1', '(', 'kg ', '1 kg ', 'net ', '1,'])
    expect(['none', 'ask', 'packages']).toContain(readPackages(piece.repeat(400)).kind);
});
