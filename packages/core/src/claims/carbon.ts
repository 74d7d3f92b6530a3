import { computed, type Figure } from '../figure/index.js';
import { ATOMIC_WEIGHT, molarMass } from '../nutrient/index.js';
import { massFraction, readIngredients, type Product } from '../shelf/index.js';

const CO2 = molarMass({ C: 1, O: 2 });
/** CO₂ bound a kg of element that ends as carbonate, one for one. */
const CO2_PER_KG = { Ca: CO2 / ATOMIC_WEIGHT.Ca, Mg: CO2 / ATOMIC_WEIGHT.Mg } as const;

/** The most CO₂ that a product can bind by its calcium and magnesium. */
export interface CarbonBound {
  /** kg CO₂ a kg of product. */
  readonly most: Figure | undefined;
  /** Whether it is a carbonate already, which binds none. */
  readonly carbonate: boolean;
}

/**
 * At most the CO₂ that its CaO + MgO can bind, if all of it weathers and ends as carbonate. Over which years is another question.
 * @returns no figure where neither calcium nor magnesium is told
 * @example carbonBound(basalt).most // 0.2 kg/kg for 10 % CaO and 10 % MgO: 0.079 + 0.109
 */
export function carbonBound(product: Product): CarbonBound {
  const { known } = readIngredients(product.derivedFrom);
  const carbonate = known.some((m) => /carbonate|limestone|dolomite|chalk|shell/i.test(m.name));
  const parts = (['Ca', 'Mg'] as const).flatMap((element) => {
    const reading = massFraction(product, element);
    return reading.kind === 'figure' ? [{ element, figure: reading.figure }] : [];
  });
  if (parts.length === 0) return { most: undefined, carbonate };
  const at = (end: 'low' | 'mid' | 'high'): number =>
    parts.reduce((sum, { element, figure }) => sum + CO2_PER_KG[element] * figure.value[end], 0);
  const most = computed(
    'Most CO₂ it can bind',
    { low: at('low'), mid: at('mid'), high: at('high') },
    'kg/kg',
    'carbonBound',
    `${parts.map(({ element }) => `${element} × ${CO2_PER_KG[element].toFixed(3)}`).join(' + ')}: one CO₂ for each atom that ends as carbonate`,
    parts.map((p) => p.figure),
  );
  return { most, carbonate };
}
