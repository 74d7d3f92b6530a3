import { bag, line } from '../../test/bags.js';
import { libraryCrop } from '../season/index.js';
import { actingOf, sourceRemarks, sourcesOf } from './sources.js';

const blueberry = libraryCrop('blueberry')!;
const spinach = libraryCrop('spinach')!;
const ammonium = bag({
  id: 'as',
  name: 'Ammonium sulfate',
  analysis: [line('N', 21), line('N.ammoniacal', 21), line('S', 24)],
  derivedFrom: ['ammonium sulfate'],
});
const limestone = bag({ id: 'l', name: 'Limestone', analysis: [line('Ca', 38)], derivedFrom: ['ground limestone'] });
const muriate = bag({
  id: 'm',
  name: 'Muriate',
  analysis: [line('K', 60, 'K2O')],
  derivedFrom: ['potassium chloride'],
});
const texts = (...of: Parameters<typeof sourceRemarks>) =>
  sourceRemarks(...of).map((r) => `${r.good ? '+' : '-'} ${r.text}`);

test('an acidifying ammonium source fits a blueberry on soil of pH 6.4, and lime does not', () => {
  expect(texts(ammonium, blueberry, 6.4)).toEqual([
    '+ acidifies, where pH is too high',
    '+ mostly ammonium, where the crop likes ammonium',
  ]);
  expect(texts(limestone, blueberry, 6.4)).toEqual(['- raises a pH that is too high already']);
});

test('on soil of pH 5.2 it is the other way round for spinach; within the band, or without a pH, nothing is said', () => {
  expect(texts(ammonium, spinach, 5.2)).toEqual([
    '- acidifies further, where pH is too low',
    '- mostly ammonium, where the crop likes nitrate',
  ]);
  expect(texts(limestone, spinach, 5.2)).toEqual(['+ raises a pH that is too low']);
  expect(texts(limestone, spinach, 6.5)).toEqual([]);
  expect(texts(limestone, spinach, undefined)).toEqual([]);
  expect(texts(limestone, spinach, spinach.pH!.low)).toEqual([]);
});

test('chloride is told to who does not stand it', () => {
  expect(texts(muriate, { ...spinach, chloride: 'sensitive' }, 6.5)).toEqual([
    '- brings chloride, which the crop does not stand',
  ]);
  expect(texts(muriate, { ...spinach, chloride: 'tolerant' }, 6.5)).toEqual([]);
  const told = bag({ ...muriate, analysis: [line('Cl', 1)], derivedFrom: [] });
  expect(texts(told, { ...spinach, chloride: 'sensitive' }, 6.5)).toEqual([]);
});

test('lime acts within months and lasts years, a sulfate at once; of what nobody knows nothing is said', () => {
  expect(actingOf(limestone)).toEqual({ acts: 'within months', lasts: 'some years' });
  expect(actingOf(ammonium)!.acts).toBe('at once');
  expect(actingOf(bag({ derivedFrom: ['secret'] }))).toBeUndefined();
});

test('the richest source of an element comes first, and none that has none', () => {
  const gypsum = bag({ id: 'g', name: 'Gypsum', analysis: [line('Ca', 23), line('S', 18)], derivedFrom: ['gypsum'] });
  expect(sourcesOf([gypsum, muriate, limestone], 'Ca').map((p) => p.name)).toEqual(['Limestone', 'Gypsum']);
});
