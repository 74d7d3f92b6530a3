import { bag, direction, line } from '../../test/bags.js';
import type { Figure } from '../figure/index.js';
import { libraryCrop } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import type { Answer } from './checks.js';
import { joinAnswers, type Claim } from './claim.js';
import { contentCheck } from './content.js';
import { doseCheck } from './dose.js';

const claim = (product: Partial<Product>, needs: Claim['needs']): Claim => ({
  statement: 'it works',
  product: bag(product),
  needs,
  crop: libraryCrop('wheat')!,
});
const NO_RATE = 'The label gives no rate, so no dose can be worked out.';
const told = (figures: readonly Figure[]): readonly string[] => figures.map((f) => `${f.label}, ${f.unit.text}`);

/** What people read of content and dose, to the letter: product, needs, then answer, words and figures of both checks. */
const CASES: readonly (readonly [
  string,
  Partial<Product>,
  Claim['needs'],
  Answer,
  string,
  readonly string[],
  Answer,
  string,
  readonly string[],
])[] = [
  [
    'typical holdings',
    { derivedFrom: ['gypsum', 'kelp meal'] },
    ['Ca'],
    'cannotTell',
    'It holds calcium from gypsum (usually 18–23 % Ca) and seaweed (usually 0.9–2.6 % Ca), but the label gives no figure.',
    [],
    'cannotTell',
    NO_RATE,
    [],
  ],
  [
    'amounts nobody knows',
    { derivedFrom: ['kelp meal', 'fish meal'] },
    ['Se'],
    'cannotTell',
    'Seaweed and fish meal may hold some selenium, but how much is not known. A lab report would tell.',
    [],
    'cannotTell',
    NO_RATE,
    [],
  ],
  [
    'none in any ingredient',
    { derivedFrom: ['urea', 'ammonium sulfate'] },
    ['Ca'],
    'against',
    'No calcium is declared, and none of its ingredients (urea, ammonium sulfate) holds any.',
    [],
    'cannotTell',
    NO_RATE,
    [],
  ],
  [
    'an ingredient nobody knows, twice over',
    { derivedFrom: ['secret'] },
    ['Ca', 'Mg'],
    'cannotTell',
    'No figure is given for calcium, and the ingredient list does not settle it. A lab report would. No figure is given for magnesium, and the ingredient list does not settle it. A lab report would.',
    [],
    'cannotTell',
    NO_RATE,
    [],
  ],
  [
    'per volume without a density',
    { analysis: [line('Si', 10, 'element', '% w/v')] },
    ['Si'],
    'cannotTell',
    'The silicon figure is per volume and the density is not entered.',
    [],
    'cannotTell',
    NO_RATE,
    [],
  ],
  [
    'below detection',
    { analysis: [line('P', { below: 20 }, 'element', 'mg/kg')], directions: [direction('50 g/m²', 1)] },
    ['P'],
    'cannotTell',
    'A test found phosphorus below its detection limit: at most that much, which the dose has to judge.',
    ['phosphorus, as P, kg/kg'],
    'against',
    'The label rate brings 0–0.0769 % of one season’s phosphorus for heritage bread wheat.',
    ['Share of one season’s phosphorus, % of need'],
  ],
  [
    'declared as nil',
    { analysis: [line('Mg', 0)], directions: [direction('50 g/m²', 1)] },
    ['Mg'],
    'against',
    'The analysis gives magnesium as nil.',
    ['magnesium, as Mg, kg/kg'],
    'against',
    'The label rate brings 0 % of one season’s magnesium for heritage bread wheat.',
    ['Share of one season’s magnesium, % of need'],
  ],
  [
    'two that suffice',
    { analysis: [line('N', 4), line('K', 8, 'K2O')], directions: [direction('150 g/m²', 2, 'beds')] },
    ['N', 'K'],
    'supports',
    'Holds 4 % N. Holds 6.64 % K.',
    ['nitrogen in Test bag, % N', 'potassium in Test bag, % K'],
    'supports',
    'The label rate brings 80–150 % of one season’s nitrogen for heritage bread wheat. The label rate brings 153–307 % of one season’s potassium for heritage bread wheat.',
    ['Share of one season’s nitrogen, % of need', 'Share of one season’s potassium, % of need'],
  ],
  [
    'a rate by volume without a density',
    { analysis: [line('N', 4)], directions: [direction('1 L/ha', 1)] },
    ['N'],
    'supports',
    'Holds 4 % N.',
    ['nitrogen in Test bag, % N'],
    'cannotTell',
    'The label rate is by volume and the density is not entered.',
    [],
  ],
  [
    'rates by plant and water',
    { analysis: [line('N', 4)], directions: [direction('10 g/plant', 1), direction('5 mL/L', 1)] },
    ['N'],
    'supports',
    'Holds 4 % N.',
    ['nitrogen in Test bag, % N'],
    'cannotTell',
    'The label gives rates by the plant and by the water it is fed with only, and none for a square metre, so no dose can be worked out.',
    [],
  ],
  [
    'rates by row and medium',
    {
      analysis: [line('N', 4)],
      directions: [direction('10 g/m row', 1), direction('10 g/L medium', 1), direction('3 g/m row', 1)],
    },
    ['N'],
    'supports',
    'Holds 4 % N.',
    ['nitrogen in Test bag, % N'],
    'cannotTell',
    'The label gives rates by the row and by the medium only, and none for a square metre, so no dose can be worked out.',
    [],
  ],
  [
    'a need nobody knows',
    { analysis: [line('Co', 4)], directions: [direction('1 g/m²', 1)] },
    ['Co'],
    'supports',
    'Holds 4 % Co.',
    ['cobalt in Test bag, % Co'],
    'cannotTell',
    'What heritage bread wheat takes up of cobalt is not known here.',
    [],
  ],
  [
    'a rate and no figure',
    { directions: [direction('1 g/m²', 1)] },
    ['N'],
    'cannotTell',
    'No figure is given for nitrogen, and the ingredient list does not settle it. A lab report would.',
    [],
    'cannotTell',
    'Without a figure for nitrogen there is no dose.',
    [],
  ],
  [
    'no supply at all',
    {},
    [],
    'notRelevant',
    'The mechanism is not a supply of nutrients.',
    [],
    'notRelevant',
    'The mechanism is not a supply of nutrients.',
    [],
  ],
];
test.each(CASES)('%s', (_name, product, needs, content, contentText, contentFigures, dose, doseText, doseFigures) => {
  const [first, second] = [contentCheck(claim(product, needs)), doseCheck(claim(product, needs))];
  expect(first).toMatchObject({ check: 'content', answer: content, text: contentText });
  expect(told(first.figures)).toEqual(contentFigures);
  expect(second).toMatchObject({ check: 'dose', answer: dose, text: doseText });
  expect(told(second.figures)).toEqual(doseFigures);
});

/** A figure's working as lines: what, unit, how. */
function lines(figure: Figure, depth = 0): readonly string[] {
  const { how } = figure;
  const word =
    how.kind === 'operation'
      ? how.sign
      : how.kind === 'function'
        ? how.text
        : how.kind === 'literal'
          ? how.provenance
          : how.kind === 'solved'
            ? how.solver
            : how.source;
  return [
    `${' '.repeat(depth)}${figure.label} | ${figure.unit.text} | ${word}`,
    ...('of' in how ? how.of.flatMap((f) => lines(f, depth + 1)) : []),
  ];
}
test('the working of a dose, line by line: rate × times × density × share over uptake', () => {
  const [share] = doseCheck(
    claim(
      {
        densityKgPerL: 1.25,
        analysis: [line('Zn', 10, 'element', '% w/v')],
        directions: [direction('0.4 mL/m²', 3, 'beds')],
      },
      ['Zn'],
    ),
  ).figures;
  expect(share && lines(share)).toEqual([
    'Share of one season’s zinc | % of need | as per cent of the crop’s uptake',
    ' brought ÷ needed |  | ÷',
    '  zinc brought a year | g/m² | ×',
    '   label rate, beds, a year | kg/m² | ×',
    '    label rate, one application | mL/m² | label',
    '    L/m² per mL/m² | L/m² per mL/m² | by definition',
    '    applications a year | applications | label',
    '    density | kg/L | label',
    '   zinc, as Zn | kg/kg | mass per litre ÷ density',
    '    declared zinc | % w/v | label',
    '    density | kg/L | label',
    '   g per kg | g/kg | by definition',
    '  Heritage bread wheat, season’s zinc | g/m² | ×',
    '   crops in general, uptake of zinc | kg/ha | typical of field and garden crops',
    '   g/m² per kg/ha | g/m² per kg/ha | by definition',
  ]);
});
test('how often nobody says, and a crop’s own uptake, say where they are from', () => {
  const [share] = doseCheck(claim({ analysis: [line('N', 4)], directions: [direction('50 g/m²')] }, ['N'])).figures;
  expect(share && lines(share).map((l) => l.trim())).toEqual(
    expect.arrayContaining([
      'label rate, a year | kg/m² | ×',
      'kg/m² per g/m² | kg/m² per g/m² | by definition',
      'applications a year | applications | the label does not say how often',
      'Heritage bread wheat, uptake of nitrogen | kg/ha | typical for a moderate yield',
    ]),
  );
});

test.each([
  [[], 'notRelevant'],
  [['supports'], 'supports'],
  [['supports', 'supports'], 'supports'],
  [['supports', 'cannotTell'], 'cannotTell'],
  [['cannotTell', 'against', 'supports'], 'against'],
] as readonly (readonly [readonly Answer[], Answer])[])('%j together are %s', (answers, together) =>
  expect(joinAnswers(answers)).toBe(together),
);
