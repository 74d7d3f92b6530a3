import { readIngredients, type Trait } from './materials.js';
import type { Product } from './product.js';

/** The usual caution beside a kind of material. The label and local code always come first. */
const CAUTIONS: Readonly<Partial<Record<Trait, string>>> = {
  dusty: 'Dusty: keep it out of lungs and eyes, and away from pets, who eat meals. Follow the label.',
  pathogens:
    'Manures and home ferments carry germs: keep the interval before harvesting anything eaten raw that your local rules ask for, and never seal a fermenting vessel.',
  oxidiser: 'An oxidiser: storage is regulated. Follow the label and local code; this ledger gives no advice on it.',
  lime: 'Caustic when damp: protect eyes and skin. Follow the label.',
  metals:
    'Can carry heavy metals: ask the seller for figures, and count the yearly load against the limit of your own country. No figure given is unknown, not clean.',
  poisonousToPets: 'Poisonous to dogs and other animals: keep it where they cannot eat it.',
  chloride: 'Brings chloride: some crops do not tolerate it, and it is salt in dry soil.',
  sodium: 'Brings sodium, which harms the structure of clay soils.',
};

/** The cautions that belong beside some products, each once, in the order of the table. */
export function cautionsOf(products: readonly Pick<Product, 'derivedFrom'>[]): readonly string[] {
  const traits = new Set(products.flatMap((p) => readIngredients(p.derivedFrom).known.flatMap((m) => m.traits)));
  return Object.entries(CAUTIONS)
    .filter(([trait]) => traits.has(trait as Trait))
    .map(([, words]) => words);
}
