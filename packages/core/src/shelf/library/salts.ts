import { salt, typical, type LibraryEntry } from './entry.js';

const mineral = typical('mineral', 'powder');
const mixed = typical('salt', 'granule');
const PURE = [0.97, 0.985, 1] as const;

/** Salts of a strong acid and a strong base, whose elements no nitrification changes. */
const NEUTRAL: readonly [number, number, number] = [0, 0, 0];

/** Salts by their chemistry, minerals by their usual ranges. Salt index by weight, sodium nitrate = 100. */
export const SALTS: readonly LibraryEntry[] = [
  salt('urea', 'CO(NH2)2', [0.98, 0.985, 1], [0.7, 0.75, 0.8], { salt: 75.4, liming: [-90, -83, -70], form: 'prill' }),
  salt('ammonium sulfate', '(NH4)2SO4', [0.97, 0.99, 1], [0.95, 1, 1.1], { salt: 69, liming: [-120, -112, -105] }),
  salt('ammonium nitrate', 'NH4NO3', [0.96, 0.98, 1], [0.85, 0.9, 1], {
    salt: 104.7,
    liming: [-66, -61, -56],
    form: 'prill',
  }),
  mixed('polymer-coated urea', { N: [38, 42, 44.5] }, [0.7, 0.75, 0.8], {
    forms: [['N.urea', 38, 42, 44.5]],
    form: 'prill',
  }),
  mixed('ammonium phosphate', { N: [10, 14, 18], P: [44, 48, 54] }, [0.9, 0.97, 1.05]),
  mixed('iron chelate', { Fe: [5, 9, 13] }, [0.5, 0.65, 0.8]),
  mixed('calcium ammonium nitrate', { N: [26, 27, 28], Ca: [4, 8, 12] }, [0.95, 1, 1.05], { liming: [-35, -25, -10] }),
  mixed('calcium nitrate', { N: [14.5, 15.5, 16], Ca: [18, 19, 19.5] }, [1, 1.1, 1.2], {
    salt: 52.5,
    liming: [15, 20, 22],
  }),
  salt('potassium nitrate', 'KNO3', PURE, [1.1, 1.2, 1.3], { salt: 73.6, liming: [20, 25, 27] }),
  salt('sodium nitrate', 'NaNO3', PURE, [1.1, 1.2, 1.3], { salt: 100, liming: [25, 29, 30] }),
  salt('magnesium nitrate', 'Mg(NO3)2·6H2O', PURE, [0.9, 1, 1.1]),
  mixed('monoammonium phosphate', { N: [10, 11, 12], P: [48, 52, 55] }, [0.9, 0.95, 1.05], {
    salt: 29.9,
    liming: [-65, -58, -50],
  }),
  salt('diammonium phosphate', '(NH4)2HPO4', [0.85, 0.88, 0.98], [0.9, 0.95, 1.05], {
    salt: 34.2,
    liming: [-75, -70, -60],
    form: 'granule',
  }),
  salt('monopotassium phosphate', 'KH2PO4', PURE, [1.1, 1.2, 1.3], { salt: 8.4 }),
  mixed('superphosphate', { P: [16, 18, 20], Ca: [18, 20, 22], S: [10, 11.5, 13] }, [1, 1.1, 1.2], { salt: 7.8 }),
  mixed('triple superphosphate', { P: [43, 45, 47], Ca: [12, 14, 16] }, [1, 1.1, 1.2], { salt: 10.1 }),
  salt('potassium sulfate', 'K2SO4', [0.92, 0.95, 1], [1.1, 1.2, 1.4], {
    salt: 46.1,
    liming: NEUTRAL,
    form: 'granule',
  }),
  salt('potassium chloride', 'KCl', [0.93, 0.97, 1], [1, 1.1, 1.2], { salt: 116.3, liming: NEUTRAL, form: 'granule' }),
  salt('potassium magnesium sulfate', 'K2SO4·2MgSO4', [0.9, 0.95, 0.98], [1.3, 1.45, 1.55], {
    liming: NEUTRAL,
    salt: 43.2,
    form: 'granule',
  }),
  salt('magnesium sulfate', 'MgSO4·7H2O', PURE, [0.85, 0.95, 1.05], { liming: NEUTRAL }),
  salt('kieserite', 'MgSO4·H2O', [0.85, 0.92, 0.98], [1.2, 1.3, 1.4], { liming: NEUTRAL, form: 'granule' }),
  salt('borax', 'Na2B4O7·10H2O', PURE, [0.75, 0.85, 0.95]),
  salt('boric acid', 'H3BO3', PURE, [0.75, 0.85, 0.95]),
  salt('iron sulfate', 'FeSO4·7H2O', [0.9, 0.96, 1], [0.9, 1, 1.1]),
  salt('manganese sulfate', 'MnSO4·H2O', PURE, [1.1, 1.3, 1.5]),
  salt('zinc sulfate', 'ZnSO4·7H2O', PURE, [0.9, 1, 1.2]),
  salt('copper sulfate', 'CuSO4·5H2O', PURE, [1.1, 1.2, 1.3]),
  salt('sodium molybdate', 'Na2MoO4·2H2O', PURE, [1, 1.2, 1.4]),
  mineral('gypsum', { Ca: [18, 21, 23], S: [14, 17, 18.6] }, [0.8, 0.95, 1.1], { salt: 8.1, liming: [0, 0, 2] }),
  mineral('limestone', { Ca: [32, 37, 40], Mg: [0, 0.6, 3] }, [1.1, 1.3, 1.5], { salt: 4.7, liming: [80, 93, 100] }),
  mineral('dolomite', { Ca: [19, 21.5, 24], Mg: [8, 11, 13] }, [1.2, 1.4, 1.5], { salt: 0.8, liming: [90, 100, 108] }),
  mineral('hydrated lime', { Ca: [48, 51, 54] }, [0.4, 0.5, 0.6], { liming: [120, 130, 135] }),
  mineral('elemental sulfur', { S: [85, 92, 99.5] }, [0.9, 1.1, 1.3], { liming: [-312, -290, -265] }),
  mineral('rock phosphate', { P: [20, 28, 33], Ca: [25, 32, 36], Mg: [0.1, 0.3, 1] }, [1.3, 1.5, 1.7], {
    liming: [5, 15, 30],
    available: { P: [1, 3, 8] },
  }),
  mineral('greensand', { K: [5, 6.5, 8], Fe: [10, 14, 18], Mg: [1, 1.8, 2.5], Si: [20, 23, 26] }, [1.2, 1.4, 1.5], {
    available: { K: [0, 0.1, 0.5] },
  }),
  mineral('granite dust', { K: [3, 4, 6], Ca: [0.5, 1, 2], Mg: [0.1, 0.4, 1], Si: [28, 32, 34] }, [1.3, 1.5, 1.6], {
    available: { K: [0, 0.05, 0.3] },
  }),
  mineral(
    'basalt dust',
    { P: [0.1, 0.3, 0.8], K: [0.5, 1.2, 3], Ca: [4, 6.5, 8], Mg: [2, 4, 6], Fe: [5, 8, 10], Si: [20, 23, 25] },
    [1.3, 1.5, 1.7],
    { liming: [0, 8, 20], available: { P: [0, 0.02, 0.08], K: [0, 0.03, 0.15] } },
  ),
  mineral('zeolite', { K: [1, 2.5, 4], Ca: [1, 2, 3.5], Na: [0.3, 1, 2], Si: [28, 31, 33] }, [0.8, 0.9, 1], {
    available: { K: [0.05, 0.3, 1] },
  }),
  mineral('diatomaceous earth', { Si: [35, 39, 43] }, [0.2, 0.3, 0.45]),
];
