import { useMemo, useState } from 'react';
import {
  analyteName,
  dissolving,
  feedStrength,
  formatFixed,
  formatTrimmed,
  parseNumber,
  parseQuantity,
  stockTanks,
  weighedWords,
  type Mixture,
  type Range,
} from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';

const between = ({ low, high }: Range, digits: number): string =>
  formatFixed(low, digits) === formatFixed(high, digits)
    ? formatFixed(high, digits)
    : `${formatFixed(low, digits)}–${formatFixed(high, digits)}`;
const positive = (text: string): number | undefined => {
  const read = parseNumber(text);
  return read.ok && read.value > 0 ? read.value : undefined;
};

/** The mix dissolved: what a litre of feed holds, and which stock tank each part goes to. */
export function SolutionPart({ mix, massUnit }: { mix: Mixture; massUnit: 'kg' | 'lb' }) {
  const [grams, setGrams] = useState('1');
  const [ratio, setRatio] = useState('100');
  const [tank, setTank] = useState('20 L');
  const gPerL = positive(grams);
  const times = positive(ratio);
  const volume = parseQuantity(tank, 'volume', 'L');
  const litres = volume.ok && volume.value > 0 ? volume.value * volume.unit.factor : undefined;
  const soluble = useMemo(() => dissolving(mix.components), [mix]);
  const feeds = soluble.components.length > 0;
  const ofThose = gPerL && feeds ? gPerL * soluble.share : undefined;
  const strength = useMemo(() => ofThose && feedStrength(soluble.components, { gPerL: ofThose }), [soluble, ofThose]);
  const stock = useMemo(
    () => (ofThose && times && litres ? stockTanks(soluble.components, { gPerL: ofThose }, times, litres) : undefined),
    [soluble, ofThose, times, litres],
  );
  const fields: readonly (readonly [label: string, value: string, set: (v: string) => void])[] = [
    ['Feed, g of the mix in a litre', grams, setGrams],
    ['Injector, parts of water to 1 of stock', ratio, setRatio],
    ['Each tank', tank, setTank],
  ];
  return (
    <details className="no-print" data-testid="solution">
      <summary className="cursor-pointer font-slab text-lg font-semibold">Dissolved as a feed</summary>
      <p className="no-print my-2 flex flex-wrap gap-3">
        {fields.map(([label, value, set]) => (
          <label key={label} className="text-sm text-faint">
            {label}
            <input className="field mt-1 block !w-36" value={value} onChange={(e) => set(e.target.value)} />
          </label>
        ))}
      </p>
      {(!gPerL || !times || !litres) && (
        <p className="text-beet">Expected numbers above zero, and a volume such as 20 L for each tank.</p>
      )}
      {soluble.not.length > 0 && (
        <Remark tone="caution">
          {soluble.not.join(' and ')} {soluble.not.length === 1 ? 'does' : 'do'} not dissolve and would block pipes and
          roses: {feeds ? 'left out here.' : 'this mix is no feed.'}
        </Remark>
      )}
      {strength && (
        <>
          <p data-testid="feed">
            A litre of feed holds, mg:{' '}
            {strength.contents.map(({ nutrient, mgPerL }) => `${nutrient} ${between(mgPerL, 1)}`).join(', ')}. It adds{' '}
            <b>{between(strength.ec, 2)} mS/cm</b>
            {strength.ecWithout.length > 0 &&
              `, and more from ${strength.ecWithout.join(', ')}, of which no cation is told`}
            .
          </p>
          <p className="text-sm text-faint">
            By what the bags say, all of these dissolved. Conductivity is the sum of the cations in meq/L ÷ 10 (
            {analyteName('K')}, {analyteName('Ca')}, {analyteName('Mg')}, {analyteName('Na')}, ammonium). Measure it
            before it is given.
          </p>
        </>
      )}
      {stock && (
        <ul className="mt-2" data-testid="tanks">
          {stock.tanks.map(({ name, lines }) => (
            <li key={name}>
              <b>Tank {name}</b>, {tank.trim()}:{' '}
              {lines.map(({ product, kg }) => `${weighedWords(kg, massUnit)} ${product.name}`).join(', ')}
            </li>
          ))}
          {stock.reasons.map(({ between: [a, b], reason }) => (
            <li key={a + b + reason} className="text-sm text-faint">
              {a} and {b} are apart: {reason}.
            </li>
          ))}
          {ofThose && times && (
            <li className="text-sm text-faint">
              {formatTrimmed(ofThose * times)} g of all of them in a litre of stock, if it were one tank. Not everything
              dissolves so much: what is left at the bottom is not fed.
            </li>
          )}
        </ul>
      )}
    </details>
  );
}
