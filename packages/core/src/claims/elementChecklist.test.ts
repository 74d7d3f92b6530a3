import { libraryCrop } from '../season/index.js';
import { NUTRIENTS } from '../nutrient/index.js';
import { bag, direction, line } from '../../test/bags.js';
import { elementChecklist, loadPerHa } from './elementChecklist.js';

const seaweed = bag({
  directions: [direction('10 g/m²', 2)],
  analysis: [
    line('K', 5),
    line('Mg', 0.5),
    line('Zn', { below: 10 }, 'element', 'mg/kg'),
    line('Fe', [100, 200, 400], 'element', 'mg/kg', 'typical'),
    line('As', 30, 'element', 'mg/kg', 'measured'),
  ],
});
const row = (element: string, product = seaweed) =>
  elementChecklist(product, libraryCrop('wheat')!).find((r) => r.element === element)!;

test('every element stands once, and the four marks are four', () => {
  expect(
    elementChecklist(seaweed, libraryCrop('wheat')!)
      .map((r) => r.element)
      .sort(),
  ).toEqual([...NUTRIENTS].sort());
  expect(['K', 'Zn', 'Fe', 'Cu'].map((e) => row(e).mark)).toEqual(['detected', 'below', 'literature', 'notTested']);
});

test('20 g/m² a year of 5 % K bring 1 g/m²: of wheat’s 65–130 kg/ha that is 7.7 to 15.4 %, usable', () => {
  const { perYear, shareOfNeed, usable } = row('K');
  expect(perYear?.value.mid).toBeCloseTo(1, 9);
  expect(shareOfNeed?.value.low).toBeCloseTo(100 / 13, 6);
  expect(shareOfNeed?.value.high).toBeCloseTo(100 / 6.5, 6);
  expect(usable).toBe('yes');
});

test('0.5 % Mg brings 0.1 g/m² of 0.8–1.8 g/m²: the range crosses a twentieth, so it is not decided; a tenth of it would be no', () => {
  expect(row('Mg').usable).toBe('yes');
  expect(row('Mg', bag({ ...seaweed, analysis: [line('Mg', 0.3)] })).usable).toBe('unknown');
  expect(row('Mg', bag({ ...seaweed, analysis: [line('Mg', 0.05)] })).usable).toBe('no');
});

test('below detection can be no use but is never use; not tested is unknown; without a rate everything is', () => {
  expect(row('Zn').usable).toBe('no');
  expect(row('Zn', bag({ ...seaweed, analysis: [line('Zn', { below: 5 })] })).usable).toBe('unknown');
  expect(row('Cu').usable).toBe('unknown');
  expect(row('K', bag({ ...seaweed, directions: [] }))).toMatchObject({
    usable: 'unknown',
    perYear: undefined,
    mark: 'detected',
  });
});

test('30 mg/kg of arsenic at 20 g/m² a year are 6 g/ha, and have no need to be a share of', () => {
  const { perYear, shareOfNeed } = row('As');
  expect(loadPerHa(perYear!).value.mid).toBeCloseTo(6, 9);
  expect(shareOfNeed).toBeUndefined();
});
