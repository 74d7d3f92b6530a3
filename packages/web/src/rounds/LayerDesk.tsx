import { useState, type ReactNode } from 'react';
import {
  bagsFor,
  baleLitres,
  byParts,
  formatTrimmedRange,
  layerLitres,
  literal,
  parseNumber,
  type Figure,
} from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { Choice, Desk, Fields, Typing, useTyped } from './desk';

/** "1 to 3" as numbers; undefined where it is not said so. */
function partsOf(text: string): readonly number[] | undefined {
  const read = text.split(/\s*(?::|\bto\b|\+)\s*/i).map((t) => parseNumber(t));
  const parts = read.flatMap((r) => (r.ok && r.value > 0 ? [r.value] : []));
  return parts.length === read.length && parts.length > 1 ? parts : undefined;
}

/** So many litres in bags or bales. @param children the fields that say how many litres */
function InPackages({ wanted, children }: { wanted: Figure | undefined; children: ReactNode }) {
  const [sold, setSold] = useState<'bag' | 'bale'>('bag');
  const [expansion, setExpansion] = useState('');
  const size = useTyped('40 L', 'volume', 'L');
  const grown = parseNumber(expansion);
  const own = grown.ok && grown.value > 0 ? grown.value : undefined;
  const bale = sold === 'bale' && size.value !== undefined ? baleLitres(size.value, own) : undefined;
  const bag = size.value === undefined ? undefined : literal('the bag', size.value, 'L', 'label', 'typed beside it');
  const held = bale ?? bag;
  const count = wanted && held && bagsFor(wanted.value, held.value);
  return (
    <>
      <Fields>
        {children}
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
      {wanted && count && (
        <p className="mt-2" data-testid="layer">
          <b className="text-lg">
            {count.least === count.most ? count.most : `${count.least}–${count.most}`} {sold}
            {count.most === 1 ? '' : 's'}
          </b>{' '}
          for <FigureButton figure={wanted}>{formatTrimmedRange(wanted.value, 3)} L</FigureButton>
          {bale && (
            <>
              ; one comes to <FigureButton figure={bale}>{formatTrimmedRange(bale.value, 3)} L</FigureButton> when loose
            </>
          )}
          .
        </p>
      )}
    </>
  );
}

/** Litres of a layer on a bed. */
function Layer({ children }: { children: ReactNode }) {
  const ground = useTyped('8 m²', 'area', 'm²');
  const thickness = useTyped('2 cm', 'length', 'm');
  const { value: m2 } = ground;
  const { value: m } = thickness;
  return (
    <InPackages wanted={m2 !== undefined && m !== undefined ? layerLitres(m2, m) : undefined}>
      {children}
      <Typing label="Bed" typed={ground} className="w-24" />
      <Typing label="Thick" typed={thickness} className="w-24" />
    </InPackages>
  );
}

/** Litres of the first of the parts of a mix. */
function Parts({ children }: { children: ReactNode }) {
  const [parts, setParts] = useState('1 to 3');
  const all = useTyped('80 L', 'volume', 'L');
  const read = partsOf(parts);
  const first = read && all.value !== undefined ? byParts(read, all.value)[0] : undefined;
  const wanted =
    first === undefined ? undefined : literal('this part of the mix', first, 'L', 'chosen', 'typed beside it');
  return (
    <InPackages wanted={wanted}>
      {children}
      <label className="w-36">
        <span className="block text-sm text-faint">Parts, this one first</span>
        <input
          className="field"
          value={parts}
          onChange={(e) => setParts(e.target.value)}
          aria-invalid={read === undefined}
        />
        {!read && <span className="block text-sm text-beet">Read “{parts}”, expected parts such as 1 to 3.</span>}
      </label>
      <Typing label="Of all" typed={all} className="w-24" />
    </InPackages>
  );
}

/** A layer on a bed, or parts of a mix, in litres, bags and bales. */
export function LayerDesk() {
  const [how, setHow] = useState<'layer' | 'parts'>('layer');
  const Given = how === 'layer' ? Layer : Parts;
  return (
    <Desk title="How many bags for a layer or a mix?">
      <Given>
        <Choice
          label="Given as"
          value={how}
          onChoose={setHow}
          className="w-40"
          options={[
            ['layer', 'a layer on a bed'],
            ['parts', 'parts of a mix'],
          ]}
        />
      </Given>
    </Desk>
  );
}
