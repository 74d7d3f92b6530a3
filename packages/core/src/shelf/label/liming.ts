import { compoundPerElement } from '../../nutrient/index.js';
import { declaredRange } from '../../quantity/index.js';
import { tells, type Pair } from '../../reading/index.js';
import { tell, type Sorted } from './sorted.js';

/** Words that some countries mean as CaCO₃ and others as CaO. */
const NEUTRALISING = /neutrali[sz]|\b(?:T?NV|VN|ZBW)\b|zobojętni/i;

/** A liming effect: kg CaCO₃ per 100 kg, from per cent or g/kg, as CaCO₃ or as CaO. */
export function liming(sorted: Sorted, pair: Pair, aside: (why: string) => void): void {
  const { found } = pair;
  // A neutralising value is told in per cent, whether that is said or not.
  const perHundred = found.unit === 'g/kg' ? 0.1 : 1;
  if (!['%', 'g/kg'].includes(found.unit ?? '%') || !found.value || found.foreign !== undefined)
    return void sorted.unread.push(found.text);
  if (found.bound === 'below') return aside('less of a liming effect than can be told');
  const asOxide = [...pair.name, ...pair.behind].some((t) => tells(t, 'ox.CaO'));
  const perOxide = asOxide ? compoundPerElement('CaCO3') / compoundPerElement('CaO') : 1;
  sorted.liming = Number((declaredRange(found.value).mid * perHundred * perOxide).toPrecision(asOxide ? 3 : 9));
  const said = [...pair.name, ...pair.behind].map((t) => t.text).join(' ');
  if (!asOxide && NEUTRALISING.test(said) && !/carbonat|caco3/i.test(said)) sorted.limingBare = true;
  tell(sorted, found, 'taken', asOxide ? 'a liming effect, from CaO' : 'a liming effect');
}
