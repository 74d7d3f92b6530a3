import { assumption, computed, sum, type Figure } from '../figure/index.js';
import { between } from '../quantity/index.js';
import type { ProgrammeCase } from './programmeCase.js';

/** Carbon in organic matter. */
const CARBON = between(0.5, 0.55, 0.58);

/**
 * Organic matter that a programme adds, kg/ha: the organic nitrogen of each product × its C:N ÷ the carbon in organic matter.
 * @returns undefined where nothing organic is given
 */
export function organicMatterAdded({ parts }: ProgrammeCase): Figure | undefined {
  const figures = parts.flatMap(({ product, pools, parameters, nitrogen, days }): Figure[] => {
    if (pools.organic <= 0 || parameters.organic.length === 0 || days.length === 0) return [];
    const carbon = assumption('carbon in organic matter', CARBON, 'kg/kg', 'usual of plant and animal remains');
    const ratios = parameters.organic.map((o) => o.carbonToNitrogen);
    const mean = (end: 'low' | 'mid' | 'high'): number =>
      ratios.reduce((total, r) => total + r.value[end], 0) / ratios.length;
    const at = (end: 'low' | 'mid' | 'high', share: number): number =>
      (nitrogen.value[end] * days.length * pools.organic * mean(end)) / share;
    return [
      computed(
        `organic matter of ${product.name}`,
        { low: at('low', CARBON.high), mid: at('mid', CARBON.mid), high: at('high', CARBON.low) },
        'kg/ha',
        'organic matter',
        'its organic nitrogen × C:N ÷ carbon in organic matter',
        [nitrogen, ...ratios, carbon],
      ),
    ];
  });
  const [first] = figures;
  return figures.length > 1 ? sum('organic matter added', 'kg/ha', figures) : first;
}
