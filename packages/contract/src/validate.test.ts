import {
  ClaimInput,
  PlotInput,
  ProductInput,
  RecipeInput,
  toClaim,
  toProduct,
  toSite,
  validateInput,
} from './index.js';

const product = (given: object = {}): object => ({
  name: 'A',
  seller: '',
  form: 'meal',
  analysis: [],
  derivedFrom: [],
  offers: [],
  note: '',
  ...given,
});
const analysis = (value: object): object =>
  product({ analysis: [{ analyte: 'P', basis: 'P2O5', value, unit: '%', provenance: 'label', source: '' }] });
const problems = <T extends object>(Input: new () => T, plain: object): string[] => {
  const result = validateInput(Input, plain);
  return result.ok ? [] : result.problems.map((p) => `${p.path}: ${p.message}`);
};

/** Guards the compiler flags: without decorator metadata, validation would vanish without an error. */
test('rules are really there: an empty object is refused for every input', () => {
  for (const Input of [ProductInput, PlotInput, RecipeInput, ClaimInput])
    expect(problems(Input as new () => object, {}).length).toBeGreaterThan(3);
});

test('a minimal product passes and nested parts become instances', () => {
  const result = validateInput(ProductInput, analysis({ kind: 'number', value: 8 }));
  expect(result.ok).toBe(true);
  expect(result.ok && result.value.analysis[0]?.constructor.name).toBe('AnalysisFigureInput');
});

test.each([
  [
    'what was read is repeated',
    analysis({ kind: 'number', value: -2 }),
    'analysis.0.value.value: Read -2, expected a value of at least 0.',
  ],
  ['what is missing is not called undefined', product({ form: undefined }), /^form: Expected a form: granule/],
  [
    'a missing part of a range',
    analysis({ kind: 'range', low: 1, high: 2 }),
    /analysis\.0\.value\.mid: Expected the middle as a number/,
  ],
  ['NaN', analysis({ kind: 'number', value: Number.NaN }), /analysis\.0\.value\.value/],
  ['an unknown field', product({ colour: 'red' }), 'colour: "colour" is not a field here.'],
  ['too many lines', product({ analysis: Array.from({ length: 61 }, () => ({})) }), /at most 60 lines/],
])('%s', (_name, plain, expected) => expect(problems(ProductInput, plain).join('\n')).toMatch(expected));

test('only the fields a kind of value has are looked at', () => {
  expect(problems(ProductInput, analysis({ kind: 'below', limit: 20 }))).toEqual([]);
  expect(problems(ProductInput, analysis({ kind: 'below' }))).not.toEqual([]);
});

test('a prototype cannot be slipped in', () => {
  const hostile = JSON.parse(
    '{"__proto__": {"name": "x"}, "seller": "", "form": "meal", "analysis": [], "derivedFrom": [], "offers": [], "note": ""}',
  ) as object;
  expect(problems(ProductInput, hostile)).not.toEqual([]);
  expect(({} as { name?: string }).name).toBeUndefined();
});

test('null in an optional field is read as missing, and becomes undefined for the core', () => {
  const plain = product({ densityKgPerL: null, grade: null, directions: null, longevity: null });
  const result = validateInput(ProductInput, plain);
  expect(result.ok).toBe(true);
  expect(result.ok && toProduct(result.value, 'id')).toMatchObject({
    id: 'id',
    densityKgPerL: undefined,
    grade: undefined,
    directions: [],
    longevity: undefined,
  });
});

test('plots and claims reach the core as it computes with them', () => {
  const plot = {
    name: 'Bed',
    areaM2: 12,
    medium: 'mineralSoil',
    texture: 'loam',
    temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 },
  };
  const result = validateInput(PlotInput, plot);
  expect(result.ok && toSite(result.value)).toMatchObject({ pH: undefined, temperature: { kind: 'sine', meanC: 10 } });
  const core = toProduct({ ...(analysis({ kind: 'number', value: 8 }) as ProductInput) }, 'p');
  expect(toClaim({ statement: 's', crop: 'leek', needs: ['P'] }, core)).toMatchObject({
    crop: { key: 'leek' },
    needs: ['P'],
  });
});
