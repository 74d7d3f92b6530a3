import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { toCrop } from '@wheat-ledger/contract';
import {
  ageDose,
  ageTableDoubts,
  CROP_LIBRARY,
  formatGiven,
  formatTrimmed,
  formatTrimmedRange,
  inOwnScoop,
  midSupply,
  parseGrade,
  parseNumber,
  ringArea,
  weighedWords,
  type AgeDose,
  type AgeTable,
  type Crop,
  type Product,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { usePlotCrop } from '../app/seasons';
import { useAppSelector } from '../app/store';
import { useShelf } from '../app/workspace';
import { Remark } from '../ui/Sheet';
import { Choice, Desk, Fields } from './desk';
import { RingPicture } from './dosePictures';

type Aged = Crop & { readonly ages: AgeTable };
const isAged = (crop: Crop): crop is Aged => crop.ages !== undefined;

/** Crops with a table of ages: the grower's own, then the library's. */
function useAged(): readonly Aged[] {
  const { records } = useRecords('crop');
  return useMemo(() => [...records.map((r) => toCrop(r, r.id)), ...CROP_LIBRARY].filter(isAged), [records]);
}

/** Nitrogen of a bag against that of the grade the table is told for; undefined where the bag gives none. */
function strengthOf(product: Product, grade: string): number | undefined {
  const read = parseGrade(grade);
  const told = read.kind === 'one' ? read.grade.find((p) => p.nutrient === 'N')?.amount : undefined;
  const held = midSupply(product, 'N');
  return told && held > 0 ? (held * 100) / told : undefined;
}

function Answer({
  dose,
  product,
  plants,
}: {
  dose: AgeDose;
  product: Product | undefined;
  plants: number | undefined;
}) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const { low, mid, high } = dose.gPerPlant;
  const area = ringArea(dose.innerM, dose.outerM);
  const scoops = product && inOwnScoop(product, mid / 1000);
  return (
    <div className="mt-2" data-testid="age">
      <p>
        <b className="text-lg">{formatTrimmedRange({ low, mid, high }, 3)} g</b> a plant and year
        {scoops && <>, {scoops.words}</>}; on its {formatTrimmed(area, 2)} m² of ring that is{' '}
        {formatTrimmed(mid / area, 2)} g/m².
        {plants !== undefined && plants > 1 && (
          <>
            {' '}
            For {formatGiven(plants)}: <b>{weighedWords((mid * plants) / 1000, massUnit)}</b>.
          </>
        )}
      </p>
      <p className="text-faint">
        Strew it from {formatTrimmed(dose.innerM * 100, 3)} to {formatTrimmed(dose.outerM * 100, 3)} cm out from the
        stem, and keep it off the stem.{dose.capped && ' The yearly cap of the table holds it down.'}
      </p>
    </div>
  );
}

/** What a tree, bush or vine gets by its age, of any bag at equal nitrogen. */
export function AgeDesk() {
  const aged = useAged();
  const { crop: here } = usePlotCrop();
  const { shelf } = useShelf();
  const [cropKey, setCropKey] = useState('');
  const [bagId, setBagId] = useState('');
  const [age, setAge] = useState('3');
  const [count, setCount] = useState('1');
  const crop = aged.find((c) => c.key === cropKey) ?? aged.find((c) => c.key === here?.key) ?? aged[0];
  if (!crop) return null;
  const { ages } = crop;
  const product = shelf.find((s) => s.record.id === bagId)?.product;
  const strength = product ? strengthOf(product, ages.grade) : 1;
  const [years, plants] = [parseNumber(age), parseNumber(count)];
  const dose = years.ok && strength !== undefined ? ageDose(ages, years.value, strength) : undefined;
  const doubts = ageTableDoubts(ages);
  const own = !CROP_LIBRARY.some((c) => c.key === crop.key);
  return (
    <Desk
      title="How much for a plant of this age?"
      picture={dose && <RingPicture innerM={dose.innerM} outerM={dose.outerM} />}
    >
      <Fields>
        <Choice
          label="Plant"
          value={crop.key}
          onChoose={setCropKey}
          className="w-44"
          options={aged.map((c) => [c.key, c.name] as const)}
        />
        <label className="w-24">
          <span className="block text-sm text-faint">Years old</span>
          <input className="field" value={age} onChange={(e) => setAge(e.target.value)} aria-invalid={!years.ok} />
        </label>
        <label className="w-24">
          <span className="block text-sm text-faint">Plants</span>
          <input className="field" value={count} onChange={(e) => setCount(e.target.value)} aria-invalid={!plants.ok} />
        </label>
        <Choice
          label="Of"
          value={bagId}
          onChoose={setBagId}
          className="w-60"
          options={[['', ages.grade], ...shelf.map((s) => [s.record.id, s.product.name] as const)]}
        />
      </Fields>
      {!years.ok ? (
        <p className="mt-2 text-beet">{years.reason}</p>
      ) : strength === undefined ? (
        <p className="mt-2 text-faint">
          {product?.name} gives no nitrogen to set against {ages.grade}.
        </p>
      ) : dose ? (
        <Answer dose={dose} product={product} plants={plants.ok && plants.value >= 1 ? plants.value : undefined} />
      ) : (
        <p className="mt-2 text-faint">The table says nothing of {formatGiven(years.value)} years.</p>
      )}
      {doubts.map((doubt) => (
        <Remark key={doubt} tone="caution">
          {doubt} Check the table before you go by it.
        </Remark>
      ))}
      <p className="mt-1 text-sm text-faint">
        {own ? 'By your own table' : 'By a class average'}, never above {formatTrimmed(ages.capG, 3)} g of {ages.grade}{' '}
        in a year.{' '}
        <Link className="plain" to={own ? `/ground/crops/${crop.key}` : `/ground/crops/new?from=${crop.key}`}>
          {own ? 'Change the table' : 'Enter your own'}
        </Link>
      </p>
    </Desk>
  );
}
