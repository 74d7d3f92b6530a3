import { useState } from 'react';
import {
  bagsFor,
  baleLitres,
  byParts,
  formatTrimmed,
  formatTrimmedRange,
  layerLitres,
  literal,
  parseNumber,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Choice, Desk, Fields, Typing, useTyped } from './desk';

/** "1 to 3" as numbers; undefined where it is not said so. */
function partsOf(text: string): readonly number[] | undefined {
  const read = text.split(/\s*(?::|\bto\b|\+)\s*/i).map((t) => parseNumber(t));
  const parts = read.flatMap((r) => (r.ok && r.value > 0 ? [r.value] : []));
  return parts.length === read.length && parts.length > 1 ? parts : undefined;
}

/** A layer on a bed, or parts of a mix, in litres, bags and bales. */
export function LayerDesk() {
  const [how, setHow] = useState<'layer' | 'parts'>('layer');
  const [sold, setSold] = useState<'bag' | 'bale'>('bag');
  const [expansion, setExpansion] = useState('');
  const [parts, setParts] = useState('1 to 3');
  const ground = useTyped('8 m²', 'area', 'm²');
  const thickness = useTyped('2 cm', 'length', 'm');
  const all = useTyped('80 L', 'volume', 'L');
  const size = useTyped('40 L', 'volume', 'L');
  const read = partsOf(parts);
  const grown = parseNumber(expansion);
  const layer =
    ground.value !== undefined && thickness.value !== undefined
      ? layerLitres(ground.value, thickness.value)
      : undefined;
  const ofFirst = read && all.value !== undefined ? byParts(read, all.value)[0] : undefined;
  const wanted =
    how === 'layer'
      ? layer
      : ofFirst === undefined
        ? undefined
        : literal('the first part of the mix', ofFirst, 'L', 'chosen', 'typed beside it');
  const held =
    size.value === undefined
      ? undefined
      : sold === 'bale'
        ? baleLitres(size.value, grown.ok && grown.value > 0 ? grown.value : undefined)
        : literal('the bag', size.value, 'L', 'label', 'typed beside it');
  const count = wanted && held && bagsFor(wanted.value, held.value);
  return (
    <Desk title="How many bags for a layer or a mix?">
      <Fields>
        <Choice
          label="Given as"
          value={how}
          onChoose={setHow}
          options={[
            ['layer', 'a layer on a bed'],
            ['parts', 'parts of a mix'],
          ]}
        />
        {how === 'layer' ? (
          <>
            <Typing label="Bed" typed={ground} className="w-28" />
            <Typing label="Thick" typed={thickness} className="w-24" />
          </>
        ) : (
          <>
            <label className="w-32">
              <span className="block text-sm text-faint">Parts, it first</span>
              <input
                className="field"
                value={parts}
                onChange={(e) => setParts(e.target.value)}
                aria-invalid={read === undefined}
              />
            </label>
            <Typing label="Of all" typed={all} className="w-28" />
          </>
        )}
        <Choice
          label="It comes in"
          value={sold}
          onChoose={setSold}
          options={[
            ['bag', 'loose bags of'],
            ['bale', 'pressed bales of'],
          ]}
        />
        <Typing label="each" typed={size} className="w-24" />
        {sold === 'bale' && (
          <label className="w-36">
            <span className="block text-sm text-faint">Grows, times</span>
            <input
              className="field"
              value={expansion}
              placeholder="1.6–2.3, typical"
              onChange={(e) => setExpansion(e.target.value)}
            />
          </label>
        )}
      </Fields>
      {how === 'parts' && read === undefined && (
        <p className="mt-2 text-beet">Read “{parts}”, expected parts such as 1 to 3.</p>
      )}
      {wanted && (
        <p className="mt-2" data-testid="layer">
          {count && (
            <>
              <b className="text-lg">
                {count.least === count.most ? count.most : `${count.least}–${count.most}`}{' '}
                {sold === 'bale' ? (count.most === 1 ? 'bale' : 'bales') : count.most === 1 ? 'bag' : 'bags'}
              </b>{' '}
              for{' '}
            </>
          )}
          <FigureButton figure={wanted}>{formatTrimmedRange(wanted.value, 3)} L</FigureButton>
          {sold === 'bale' && held && (
            <>
              ; a bale comes to <FigureButton figure={held}>{formatTrimmedRange(held.value, 3)} L</FigureButton> when
              loose
            </>
          )}
          {how === 'layer' && thickness.value !== undefined && (
            <span className="text-faint"> · {formatTrimmed(thickness.value * 1000, 3)} L on each m²</span>
          )}
        </p>
      )}
    </Desk>
  );
}
