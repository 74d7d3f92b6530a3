import { between } from '../../quantity/index.js';
import { ages, type CropRow } from './entry.js';

const TREE = { months: [0, 0, 4, 14, 24, 22, 16, 11, 6, 3, 0, 0] };
const BUSH = { months: [0, 0, 5, 18, 26, 22, 14, 9, 5, 1, 0, 0] };
const APPLE_AGES = ages(
  2500,
  [1, 1, 200, 0.3, 0.6],
  [2, 2, 400, 0.3, 0.8],
  [3, 4, 700, 0.4, 1.2],
  [5, 7, 1200, 0.5, 1.8],
  [8, undefined, 2000, 0.6, 2.5],
);
const STONE_AGES = ages(
  2000,
  [1, 1, 180, 0.3, 0.6],
  [2, 2, 350, 0.3, 0.8],
  [3, 4, 600, 0.4, 1.2],
  [5, undefined, 1200, 0.6, 2],
);

/** Fruit, shrubs, flowers, herbs and potted plants. Columns as in the vegetables; ages are of 10-10-10. */
// prettier-ignore
export const PERENNIALS: Readonly<Record<string, CropRow>> = {
  strawberry: { group: 'soft fruit', yieldT: [12, 20, 32], uptake: [100, 15, 130, 80, 20, 10], removed: [1.5, 0.25, 1.9, 0.2, 0.13, 0.1], course: { months: [0, 0, 6, 16, 22, 14, 8, 12, 14, 8, 0, 0] }, pH: [5.5, 6.8], chloride: 'sensitive', boron: 'sensitive', salt: [1, 33], tissue: [[2, 3], [0.25, 0.4], [1.5, 2.5], 'full-grown leaflets', 'just after harvest'], spacing: [0.8, 0.35], roots: [0.2, 0.35, 0.5], mycorrhiza: 'arbuscular', units: [['dry pint', 0.34]], late: ['frost', 60] },
  raspberry: { group: 'soft fruit', yieldT: [5, 8, 12], uptake: [80, 10, 70, 40, 14, 8], removed: [2, 0.3, 1.9, 0.25, 0.2, 0.15], course: BUSH, pH: [5.6, 6.8], chloride: 'sensitive', tissue: [[2.3, 3.2], [0.2, 0.5], [1.3, 2.3], 'full-grown leaf of a first-year cane', 'late July'], spacing: [2, 0.5], roots: [0.3, 0.5, 0.8], mycorrhiza: 'arbuscular', units: [['half pint', 0.17]], late: ['frost', 75] },
  blackcurrant: { group: 'soft fruit', yieldT: [5, 8, 12], uptake: [80, 12, 70, 60, 10, 8], removed: [2, 0.45, 3, 0.6, 0.18, 0.2], course: BUSH, pH: [6, 7], chloride: 'sensitive', tissue: [[2.7, 3.3], [0.25, 0.4], [1.5, 2.2], 'middle leaf of a new shoot', 'before picking'], spacing: [2.5, 1], roots: [0.4, 0.7, 1], mycorrhiza: 'arbuscular', ages: ages(350, [1, 1, 60, 0.15, 0.4], [2, 3, 120, 0.2, 0.6], [4, undefined, 220, 0.2, 0.8]), late: ['frost', 75] },
  gooseberry: { group: 'soft fruit', yieldT: [6, 10, 15], uptake: [75, 11, 75, 55, 10, 8], removed: [1.6, 0.3, 2, 0.3, 0.12, 0.15], course: BUSH, pH: [6, 7], chloride: 'sensitive', spacing: [2, 1], roots: [0.4, 0.7, 1], mycorrhiza: 'arbuscular', ages: ages(300, [1, 1, 50, 0.15, 0.4], [2, 3, 100, 0.2, 0.6], [4, undefined, 180, 0.2, 0.8]), late: ['frost', 75] },
  blueberry: { group: 'acid-loving', yieldT: [5, 8, 14], uptake: [60, 6, 45, 20, 7, 6], removed: [1, 0.12, 0.8, 0.08, 0.06, 0.1], course: BUSH, pH: [4.2, 5.5], taste: 'ammonium', chloride: 'sensitive', tissue: [[1.7, 2.1], [0.1, 0.4], [0.4, 0.65], 'middle leaf of a fruiting shoot', 'first week of harvest'], spacing: [3, 1.2], roots: [0.2, 0.35, 0.5], mycorrhiza: 'ericoid', units: [['dry pint', 0.34]], ages: ages(230, [1, 1, 30, 0.15, 0.45], [2, 2, 60, 0.2, 0.5], [3, 4, 110, 0.2, 0.6], [5, undefined, 190, 0.3, 0.9]), late: ['frost', 90] },
  rhododendron: { group: 'acid-loving', uptake: [40, 5, 25, 20, 6, 4], course: BUSH, pH: [4.5, 5.8], taste: 'ammonium', chloride: 'sensitive', tissue: [[1.5, 2.5], [0.15, 0.35], [0.7, 1.3], 'youngest full-grown leaf', 'midsummer'], spacing: [1.5, 1.2], roots: [0.15, 0.3, 0.4], mycorrhiza: 'ericoid', late: ['frost', 90] },
  camellia: { group: 'acid-loving', uptake: [45, 6, 30, 30, 6, 5], course: BUSH, pH: [5, 6.3], taste: 'ammonium', chloride: 'sensitive', spacing: [2, 1.5], roots: [0.2, 0.4, 0.6], mycorrhiza: 'arbuscular', late: ['frost', 90] },
  grape: { group: 'vine', yieldT: [6, 9, 14], uptake: [60, 8, 70, 55, 10, 6], removed: [1.8, 0.3, 2.8, 0.3, 0.12, 0.1], course: { months: [0, 0, 2, 10, 26, 28, 16, 10, 6, 2, 0, 0] }, pH: [5.8, 7.5], chloride: 'sensitive', boron: 'sensitive', salt: [1.5, 9.6], tissue: [[0.8, 1.2], [0.15, 0.5], [1.5, 2.5], 'petiole opposite a cluster', 'at full bloom'], spacing: [2, 1], roots: [0.6, 1.2, 2], mycorrhiza: 'arbuscular', ages: ages(500, [1, 1, 60, 0.2, 0.5], [2, 2, 120, 0.3, 0.8], [3, undefined, 300, 0.4, 1.2]), late: ['frost', 90] },
  apple: { group: 'tree fruit', yieldT: [20, 35, 55], uptake: [70, 10, 85, 90, 13, 6], removed: [0.5, 0.1, 1.2, 0.06, 0.06, 0.05], course: TREE, pH: [5.8, 7.2], tissue: [[1.9, 2.6], [0.13, 0.33], [1.2, 2], 'middle leaf of a new shoot', 'mid-July to mid-August'], spacing: [4, 2], roots: [0.5, 0.9, 1.5], mycorrhiza: 'arbuscular', units: [['bushel', 19]], ages: APPLE_AGES, late: ['frost', 90] },
  pear: { group: 'tree fruit', yieldT: [18, 30, 45], uptake: [70, 10, 80, 85, 12, 6], removed: [0.6, 0.12, 1.2, 0.08, 0.07, 0.05], course: TREE, pH: [5.8, 7.2], tissue: [[1.9, 2.6], [0.13, 0.3], [1.1, 2], 'middle leaf of a new shoot', 'mid-July to mid-August'], spacing: [4, 2], roots: [0.5, 0.9, 1.5], mycorrhiza: 'arbuscular', units: [['bushel', 22.7]], ages: APPLE_AGES, late: ['frost', 90] },
  plum: { group: 'tree fruit', yieldT: [9, 15, 25], uptake: [70, 9, 80, 80, 14, 6], removed: [1.3, 0.2, 2, 0.1, 0.08, 0.05], course: TREE, pH: [6, 7.5], boron: 'sensitive', salt: [1.5, 18], tissue: [[2.2, 3], [0.15, 0.3], [1.6, 3], 'middle leaf of a new shoot', 'mid-July to mid-August'], spacing: [5, 4], roots: [0.5, 0.9, 1.4], mycorrhiza: 'arbuscular', ages: STONE_AGES, late: ['frost', 90] },
  cherry: { group: 'tree fruit', yieldT: [6, 10, 16], uptake: [70, 9, 65, 75, 13, 6], removed: [1.6, 0.25, 2, 0.12, 0.1, 0.08], course: TREE, pH: [6, 7.3], chloride: 'sensitive', boron: 'sensitive', tissue: [[2.2, 3.2], [0.16, 0.35], [1.4, 2.5], 'middle leaf of a new shoot', 'mid-July to mid-August'], spacing: [5, 4], roots: [0.5, 0.9, 1.4], mycorrhiza: 'arbuscular', ages: STONE_AGES, late: ['frost', 90] },
  peach: { group: 'tree fruit', yieldT: [12, 20, 32], uptake: [90, 12, 100, 90, 17, 8], removed: [1.2, 0.25, 2.2, 0.08, 0.09, 0.06], course: TREE, pH: [6, 7.2], chloride: 'sensitive', boron: 'sensitive', salt: [1.7, 21], tissue: [[2.8, 3.6], [0.15, 0.3], [1.8, 3], 'middle leaf of a new shoot', 'mid-July to mid-August'], spacing: [5, 4], roots: [0.5, 0.9, 1.4], mycorrhiza: 'arbuscular', units: [['bushel', 22]], ages: STONE_AGES, late: ['frost', 90] },
  orange: { group: 'tree fruit', yieldT: [18, 30, 45], uptake: [150, 16, 130, 180, 22, 14], removed: [1.8, 0.22, 2, 0.6, 0.13, 0.12], course: { months: [3, 5, 10, 13, 14, 13, 11, 9, 8, 7, 4, 3] }, pH: [5.5, 7], chloride: 'sensitive', boron: 'sensitive', salt: [1.7, 16], tissue: [[2.5, 2.7], [0.12, 0.16], [0.7, 1.1], 'spring leaf, 4 to 7 months old', 'late summer'], spacing: [6, 4], roots: [0.5, 0.8, 1.2], mycorrhiza: 'arbuscular' },
  hazelnut: { group: 'tree fruit', yieldT: [1.2, 2, 3], uptake: [90, 10, 60, 70, 14, 7], removed: [22, 3, 6, 2, 1.5, 1.3], course: TREE, pH: [6, 7.5], spacing: [5, 4], roots: [0.5, 0.9, 1.3], mycorrhiza: 'ecto', late: ['frost', 90] },
  rose: { group: 'flower', uptake: [80, 13, 80, 60, 14, 9], course: { months: [0, 0, 5, 14, 22, 22, 16, 11, 8, 2, 0, 0] }, pH: [6, 7], chloride: 'sensitive', tissue: [[3, 4.5], [0.25, 0.5], [1.8, 3], 'upper leaf with five leaflets', 'on flowering stems'], spacing: [0.8, 0.6], roots: [0.3, 0.5, 0.9], mycorrhiza: 'arbuscular', late: ['frost', 60] },
  dahlia: { group: 'flower', uptake: { N: between(70, 110, 150), P: between(12, 18, 26), K: between(90, 140, 200), Ca: between(40, 60, 90), Mg: between(12, 20, 30), S: between(8, 13, 20) }, course: [6, 700, 1350], pH: [6, 7.2], spacing: [0.8, 0.5], roots: [0.3, 0.5, 0.8], mycorrhiza: 'arbuscular', late: ['frost', 50] },
  chrysanthemum: { group: 'flower', uptake: [150, 22, 200, 70, 22, 14], course: [6, 750, 1400], pH: [6, 7], tissue: [[4, 6], [0.25, 1], [4, 6], 'upper full-grown leaf', 'before buds show colour'], spacing: [0.3, 0.2], roots: [0.2, 0.35, 0.5], mycorrhiza: 'arbuscular', late: ['harvest', 30] },
  tulip: { group: 'bulb', uptake: [100, 15, 110, 50, 11, 12], course: [2, 650, 1050], pH: [6, 7.3], chloride: 'sensitive', spacing: [0.2, 0.1], roots: [0.2, 0.35, 0.5], mycorrhiza: 'arbuscular', late: ['harvest', 30] },
  gladiolus: { group: 'flower', uptake: [100, 16, 110, 45, 14, 11], course: [6, 600, 1100], pH: [6, 7], chloride: 'sensitive', spacing: [0.4, 0.1], roots: [0.2, 0.35, 0.5], mycorrhiza: 'arbuscular', late: ['harvest', 30] },
  'bedding-annuals': { group: 'flower', uptake: [80, 12, 80, 45, 12, 8], course: [6, 600, 1200], pH: [5.8, 7], spacing: [0.25, 0.25], roots: [0.2, 0.3, 0.5], mycorrhiza: 'arbuscular', late: ['frost', 40] },
  peony: { group: 'flower', uptake: [80, 12, 70, 60, 12, 8], course: { months: [0, 0, 10, 24, 26, 16, 10, 8, 5, 1, 0, 0] }, pH: [6, 7.2], spacing: [0.9, 0.9], roots: [0.4, 0.6, 1], mycorrhiza: 'arbuscular', late: ['frost', 75] },
  hydrangea: { group: 'flower', uptake: [60, 8, 50, 35, 9, 6], course: BUSH, pH: [5, 7], spacing: [1.2, 1], roots: [0.25, 0.4, 0.6], mycorrhiza: 'arbuscular', late: ['frost', 75] },
  basil: { group: 'herb', yieldT: [12, 18, 28], uptake: [100, 13, 120, 50, 14, 8], removed: [4, 0.5, 4.5, 1.8, 0.5, 0.3], course: [10, 400, 750], pH: [6, 7.2], spacing: [0.3, 0.2], roots: [0.2, 0.3, 0.5], mycorrhiza: 'arbuscular', late: ['harvest', 14] },
  parsley: { group: 'herb', yieldT: [15, 25, 40], uptake: [150, 20, 200, 70, 13, 12], removed: [4.5, 0.6, 6, 2, 0.35, 0.35], course: [4, 750, 1400], pH: [6, 7.2], spacing: [0.25, 0.08], roots: [0.3, 0.5, 0.8], mycorrhiza: 'arbuscular', late: ['harvest', 21] },
  chives: { group: 'herb', yieldT: [15, 25, 40], uptake: [140, 20, 140, 60, 12, 22], removed: [4, 0.6, 4, 1.3, 0.3, 0.6], course: { months: [0, 1, 8, 18, 20, 17, 14, 11, 8, 3, 0, 0] }, pH: [6, 7.2], spacing: [0.3, 0.2], roots: [0.2, 0.3, 0.45], mycorrhiza: 'arbuscular', late: ['harvest', 21] },
  mint: { group: 'herb', yieldT: [15, 25, 35], uptake: [140, 20, 160, 60, 16, 12], removed: [4, 0.6, 5, 1.6, 0.45, 0.35], course: { months: [0, 0, 5, 15, 22, 21, 16, 12, 7, 2, 0, 0] }, pH: [6, 7.5], spacing: [0.5, 0.3], roots: [0.2, 0.3, 0.5], mycorrhiza: 'arbuscular', late: ['harvest', 21] },
  lavender: { group: 'herb', uptake: [30, 5, 35, 30, 5, 4], course: { months: [0, 0, 6, 16, 24, 24, 14, 8, 6, 2, 0, 0] }, pH: [6.5, 8], spacing: [0.9, 0.4], roots: [0.4, 0.8, 1.3], mycorrhiza: 'arbuscular', late: ['frost', 90] },
  'foliage-pot': { group: 'potted', course: 'steady', pH: [5.5, 6.5], tissue: [[2.5, 4], [0.2, 0.5], [2, 4.5], 'youngest full-grown leaf', 'in growth'], mycorrhiza: 'arbuscular', followsLight: true },
  'flowering-pot': { group: 'potted', course: 'steady', pH: [5.5, 6.5], tissue: [[2.8, 4.5], [0.3, 0.6], [2, 4.5], 'youngest full-grown leaf', 'before bloom'], mycorrhiza: 'arbuscular', followsLight: true },
  'citrus-pot': { group: 'potted', course: 'steady', pH: [5.5, 6.5], chloride: 'sensitive', boron: 'sensitive', mycorrhiza: 'arbuscular', followsLight: true },
};
