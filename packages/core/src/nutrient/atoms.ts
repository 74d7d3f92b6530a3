/**
 * Standard atomic weights, abridged to five significant figures
 * (IUPAC Commission on Isotopic Abundances and Atomic Weights, 2021 table).
 */
export const ATOMIC_WEIGHT = {
  H: 1.008,
  B: 10.81,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  Na: 22.99,
  Mg: 24.305,
  Si: 28.085,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
  Mn: 54.938,
  Fe: 55.845,
  Co: 58.933,
  Ni: 58.693,
  Cu: 63.546,
  Zn: 65.38,
  As: 74.922,
  Se: 78.971,
  Mo: 95.95,
  Cd: 112.41,
  Hg: 200.59,
  Pb: 207.2,
  Cr: 51.996,
} as const;

export type Atom = keyof typeof ATOMIC_WEIGHT;
export type Composition = Readonly<Partial<Record<Atom, number>>>;

/** Molar mass in g/mol of a composition. @example molarMass({ P: 2, O: 5 }) // 141.943 */
export const molarMass = (composition: Composition): number =>
  Object.entries(composition).reduce((sum, [atom, count]) => sum + ATOMIC_WEIGHT[atom as Atom] * count, 0);
