import { basesOf } from '../nutrient/index.js';
import { analyteNamed } from '../shelf/index.js';
import { plainWord } from './dictionary.js';
import { FOREIGN_NAMES } from './names.js';

test('every word is written as it is compared, stands once, and is found as what it means', () => {
  const seen = new Map<string, string>();
  for (const { means, words } of FOREIGN_NAMES)
    for (const word of Object.values(words).flatMap((list) => list.split('|'))) {
      expect(word).toBe(plainWord(word));
      expect([word, seen.get(word)]).toEqual([word, undefined]);
      seen.set(word, JSON.stringify(means));
      const found = analyteNamed(word);
      expect([word, found]).toEqual([
        word,
        'other' in means ? { kind: means.other } : { kind: 'analyte', analyte: means.analyte, basis: means.basis },
      ]);
      if ('analyte' in means) expect(basesOf(means.analyte)).toContain(means.basis);
    }
  expect(seen.size).toBeGreaterThan(150);
});

test.each([
  ['Phosphor (P2O5)', 'P', 'P2O5'],
  ['Phosphore (P₂O₅) soluble dans l’eau', 'P', 'P2O5'],
  ['Fósforo (P)', 'P', 'element'],
  ['Kalium (K2O)', 'K', 'K2O'],
  ['Potassio (K2O)', 'K', 'K2O'],
  ['Magnesio (MgO) total', 'Mg', 'MgO'],
  ['Pięciotlenek fosforu (P₂O₅)', 'P', 'P2O5'],
  ['Azot (N) ogólny', 'N', 'element'],
  ['Azoto (N) totale', 'N', 'element'],
  ['di cui azoto ureico', 'N.urea', 'element'],
  ['Kväve (N) totalt', 'N', 'element'],
  ['Nitraatstikstof', 'N.nitrate', 'element'],
  ['Enxofre (SO3)', 'S', 'SO3'],
  ['Zwavel (S)', 'S', 'element'],
])('%s is %s as %s', (name, analyte, basis) => expect(analyteNamed(name)).toMatchObject({ analyte, basis }));

test('words that mean something else in English are none of these', () => {
  for (const word of ['sod', 'lime', 'iron out', 'for sod and turf']) {
    const found = analyteNamed(word);
    expect(found?.kind === 'analyte' && found.analyte === 'Na').toBe(false);
  }
});
