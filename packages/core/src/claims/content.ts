import { inPercent, type Figure } from '../figure/index.js';
import { analyteName, symbolIn, type Nutrient } from '../nutrient/index.js';
import { capital, formatGivenRange, formatTrimmedRange, measure, ofWhat } from '../quantity/index.js';
import { materialHolds, massFraction, readIngredients, type Product } from '../shelf/index.js';
import type { Answer } from './checks.js';
import { joinAnswers, type CheckResult, type Claim } from './claim.js';

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

/** Check 1, content: does the analysis hold what the mechanism needs? Not declared is not the same as none. */
export function contentCheck({ product, needs }: Claim): CheckResult {
  if (needs.length === 0)
    return {
      check: 'content',
      answer: 'notRelevant',
      text: 'The mechanism is not a supply of nutrients.',
      figures: [],
    };
  const findings = needs.map((nutrient) => findingFor(product, nutrient));
  return {
    check: 'content',
    answer: joinAnswers(findings.map((f) => f.answer)),
    text: findings.map((f) => f.text).join(' '),
    figures: findings.flatMap((f) => (f.figure ? [f.figure] : [])),
  };
}
