import { inPercent, type Figure } from '../figure/index.js';
import { analyteName, symbolIn, type Nutrient } from '../nutrient/index.js';
import { capital, formatGivenRange, formatTrimmedRange, measure, ofWhat } from '../quantity/index.js';
import { materialHolds, massFraction, readIngredients, type Product } from '../shelf/index.js';
import type { Answer } from './checks.js';
import { carbonBound } from './carbon.js';
import { joinAnswers, type CheckResult, type Claim } from './claim.js';
import { shortBag } from './shortBag.js';

interface Finding {
  readonly answer: Answer;
  readonly text: string;
  readonly figure?: Figure;
}

/** What a product whose label gives no figure holds, by its ingredients: some, nobody says how much; or none. */
function undeclared(product: Product, nutrient: Nutrient): Finding {
  const name = analyteName(nutrient);
  const { known, complete } = readIngredients(product.derivedFrom);
  const holdings = known.map((m) => ({ m, holding: materialHolds(m, nutrient) }));
  const usual = holdings.flatMap(({ m, holding }) =>
    holding.kind === 'typical' && holding.figure.percent.high > 0
      ? [
          `${m.name} (usually ${formatGivenRange(holding.figure.percent)} % ${symbolIn(nutrient, holding.figure.basis)})`,
        ]
      : [],
  );
  if (usual.length > 0)
    return {
      answer: 'cannotTell',
      text: `It holds ${name} from ${usual.join(' and ')}, but the label gives no figure.`,
    };
  const some = holdings.filter(({ holding }) => holding.kind === 'amountUnknown').map(({ m }) => m.name);
  if (some.length > 0)
    return {
      answer: 'cannotTell',
      text: `${capital(some.join(' and '))} may hold some ${name}, but how much is not known. A lab report would tell.`,
    };
  return complete
    ? {
        answer: 'against',
        text: `No ${name} is declared, and none of its ingredients (${known.map((m) => m.name).join(', ')}) holds any.`,
      }
    : {
        answer: 'cannotTell',
        text: `No figure is given for ${name}, and the ingredient list does not settle it. A lab report would.`,
      };
}
function findingFor(product: Product, nutrient: Nutrient): Finding {
  const name = analyteName(nutrient);
  const reading = massFraction(product, nutrient);
  switch (reading.kind) {
    case 'notDeclared':
      return undeclared(product, nutrient);
    case 'needsDensity':
      return { answer: 'cannotTell', text: `The ${name} figure is per volume and the density is not entered.` };
    case 'below':
      return {
        answer: 'cannotTell',
        text: `A test found ${name} below its detection limit: at most that much, which the dose has to judge.`,
        figure: reading.limit,
      };
    case 'figure': {
      if (reading.figure.value.high <= 0)
        return { answer: 'against', text: `The analysis gives ${name} as nil.`, figure: reading.figure };
      const percent = inPercent(
        `${name} in ${product.name}`,
        ofWhat(measure('%'), nutrient),
        'as per cent of the product by mass',
        reading.figure,
      );
      return { answer: 'supports', text: `Holds ${formatTrimmedRange(percent.value)} % ${nutrient}.`, figure: percent };
    }
  }
}

/** For a claim of stored carbon: no more than its calcium and magnesium can bind. */
function carbonFinding(product: Product): Finding {
  const { most, carbonate } = carbonBound(product);
  if (carbonate)
    return { answer: 'against', text: 'Its calcium and magnesium are bound as carbonate already: it binds no more.' };
  if (!most)
    return {
      answer: 'cannotTell',
      text: 'Neither calcium nor magnesium is told, so what it can bind is not known. Carbon that it holds itself is not counted here.',
    };
  if (most.value.high <= 0) return { answer: 'against', text: 'It holds no calcium or magnesium to bind CO₂ with.' };
  const bound = `${formatTrimmedRange(most.value)} kg CO₂ a kg`;
  return {
    answer: 'cannotTell',
    text: `At most ${bound} can be bound, once all of it has weathered; over which years, and what its making gave off, has to be told beside it.`,
    figure: most,
  };
}

/** What lab slips say of the guarantee; nothing where there are none. */
function slipFindings({ product, slips }: Claim): readonly Finding[] {
  if (!slips || slips.slips.length === 0) return [];
  const { findings, answer, text } = shortBag(product, slips);
  return [{ answer, text: [...findings.map((f) => f.text), ...(findings.length > 1 ? [text] : [])].join(' ') }];
}

/** Check 1, content: does the analysis hold what the mechanism needs, and what the label guarantees? Not declared is not the same as none. */
export function contentCheck(claim: Claim): CheckResult {
  const { product, needs, kind } = claim;
  const findings = [
    ...(kind === 'storesCarbon' ? [carbonFinding(product)] : []),
    ...needs.map((nutrient) => findingFor(product, nutrient)),
    ...slipFindings(claim),
  ];
  if (findings.length === 0)
    return {
      check: 'content',
      answer: 'notRelevant',
      text: 'The mechanism is not a supply of nutrients.',
      figures: [],
    };
  const relevant = findings.map((f) => f.answer).filter((a) => a !== 'notRelevant');
  return {
    check: 'content',
    answer: joinAnswers(relevant),
    text: findings.map((f) => f.text).join(' '),
    figures: findings.flatMap((f) => (f.figure ? [f.figure] : [])),
  };
}
