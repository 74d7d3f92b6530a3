import fc from 'fast-check';
import { render, screen } from '@testing-library/react';
import { PatternDefs } from './patterns';
import { toProduct, type ProductInput } from '@wheat-ledger/contract';
import { Bag } from './Bag';
import { bagContents } from './bagContents';
import { spread } from './spread';

const product = toProduct(
  {
    name: 'Prills',
    seller: '',
    form: 'prill',
    derivedFrom: [],
    offers: [],
    note: '',
    densityKgPerL: 1,
    analysis: (
      [
        ['N', 16, 'element'],
        ['P', 8, 'P2O5'],
        ['K', 12, 'K2O'],
      ] as const
    ).map(([analyte, value, basis]) => ({
      analyte,
      basis,
      value: { kind: 'number', value },
      unit: '%',
      provenance: 'label',
      source: '',
    })),
  } satisfies ProductInput,
  'p',
);

test('the bag holds what is declared, in the basis asked for, largest first', () => {
  expect(bagContents(product, 'oxide').map((s) => [s.symbol, Number(s.share.toFixed(4))])).toEqual([
    ['N', 0.16],
    ['K₂O', 0.12],
    ['P₂O₅', 0.08],
  ]);
  expect(bagContents(product, 'element').map((s) => [s.symbol, Number(s.share.toFixed(4))])).toEqual([
    ['N', 0.16],
    ['K', 0.0996],
    ['P', 0.0349],
  ]);
});

test('layers are drawn to scale: heights in the ratio of the shares, the rest left over', () => {
  const { container } = render(<Bag product={product} basis="oxide" />);
  const heights = [...container.querySelectorAll('rect[fill^="url(#pattern-"]')].map((r) =>
    Number(r.getAttribute('height')),
  );
  const room = 108;
  expect(heights.map((h) => Number((h / room).toFixed(6)))).toEqual([0.16, 0.12, 0.08]);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Prills, cut open: 16 % N, 12 % K₂O, 8 % P₂O₅');
});

test('each nutrient has a pattern of its own, so that none is told apart by colour alone', () => {
  const { container } = render(<PatternDefs />);
  const drawn = [...container.querySelectorAll('pattern')].map(
    (p) => `${p.getAttribute('width')} ${p.querySelector('path, circle')?.outerHTML}`,
  );
  expect(drawn).toHaveLength(8);
  expect(new Set(drawn).size).toBe(drawn.length);
});

test('labels are moved apart, kept in order and inside', () => {
  fc.assert(
    fc.property(
      fc
        .array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 1, maxLength: 9 })
        .map((v) => [...v].sort((a, b) => a - b)),
      (positions) => {
        const placed = spread(positions, 30, 300);
        placed.forEach((p, i) => {
          if (i > 0) expect(p - placed[i - 1]!).toBeGreaterThanOrEqual(30 - 1e-9);
        });
        expect(placed.at(-1)).toBeLessThanOrEqual(300 + 1e-9);
      },
    ),
  );
});
