import fc from 'fast-check';
import { carryCorrections } from './carryCorrections';

test('a correction moves with its line when lines come and go above it', () => {
  expect(carryCorrections('Glow 3 %\nZest 2', 'Grade 5-3-4\n\n  Glow 3 %\nZest 2', { 1: 'a', 2: 'b' })).toEqual({
    3: 'a',
    4: 'b',
  });
  expect(carryCorrections('x\ry\r\nGlow 3 %', 'Glow 3 %', { 3: 'a' })).toEqual({ 1: 'a' });
});

test('a line that was changed or taken out is read anew', () => {
  expect(carryCorrections('Glow 3 %\nZest 2', 'Glow 4 %\nZest 2', { 1: 'a', 2: 'b' })).toEqual({ 2: 'b' });
  expect(carryCorrections('Glow 3 %', '', { 1: 'a' })).toEqual({});
});

test('of lines alike, each keeps its own', () => {
  expect(carryCorrections('N 5 %\nN 5 %', 'Tag\nN 5 %\nN 5 %', { 2: 'second' })).toEqual({ 3: 'second' });
});

test('text that stays keeps every correction; so does adding below', () => {
  const lines = fc.array(fc.constantFrom('N 5 %', 'Glow 3 %', '', 'P 2', ' K 1 '), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(lines, lines, fc.nat(11), (before, below, at) => {
      const corrections = { [(at % before.length) + 1]: 'c' };
      expect(carryCorrections(before.join('\n'), [...before, ...below].join('\n'), corrections)).toEqual(corrections);
    }),
  );
});
