import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  capital,
  cautionsOf,
  findMaterial,
  formatGiven,
  formatGivenRange,
  LIBRARY,
  ORGANIC_CLASS_NAMES,
  OTHER_SALT_INDEX,
  searchLibrary,
  symbolIn,
  elementOf,
  typicalProduct,
  analyteName,
  type LibraryEntry,
} from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { Bag } from '../ui/Bag';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';

function figuresOf(entry: LibraryEntry): string {
  return entry.analysis
    .map(
      (f) =>
        `${f.analyte.startsWith('N.') ? analyteName(f.analyte) : symbolIn(elementOf(f.analyte), f.basis)} ${formatGivenRange(f.percent)} %`,
    )
    .join(', ');
}

function Facts({ entry }: { entry: LibraryEntry }) {
  const material = findMaterial(entry.name);
  const product = typicalProduct(entry);
  const basis = useAppSelector((s) => s.settings.basis);
  const other = OTHER_SALT_INDEX[entry.name];
  const rows: readonly (readonly [string, string | undefined])[] = [
    ['Also called', material?.aliases.join(', ')],
    ['Density', `${formatGivenRange(entry.densityKgPerL)} kg/L`],
    ['Releases like', material?.organic && ORGANIC_CLASS_NAMES[material.organic]],
    [
      'Salt index',
      entry.saltIndex &&
        `${formatGiven(entry.saltIndex.value)} (${entry.saltIndex.table}${other ? `; ${formatGiven(other.value)} in ${other.table}` : ''}; by weight, sodium nitrate = 100)`,
    ],
    ['Liming effect', entry.limingPer100Kg && `${formatGivenRange(entry.limingPer100Kg)} kg CaCO₃ per 100 kg`],
    ['Figures from', entry.source === 'chemistry' ? 'its chemistry, at usual purity' : 'textbook ranges'],
  ];
  return (
    <MarginNote title={capital(entry.name)}>
      <div className="flex justify-center">
        <Bag product={product} basis={basis} width={104} />
      </div>
      <dl className="text-[0.875rem]">
        {rows
          .filter(([, value]) => value)
          .map(([name, value]) => (
            <div key={name} className="border-b border-rule py-1">
              <dt className="text-faint">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
      {cautionsOf([product]).map((c) => (
        <Remark key={c} tone="caution">
          {c}
        </Remark>
      ))}
    </MarginNote>
  );
}

/** Generic materials with what is typical of them, each one step from being a bag of one's own. */
export function LibraryView() {
  const [wanted, setWanted] = useState('');
  const [open, setOpen] = useState<string>();
  const query = useDeferredValue(wanted);
  const found = useMemo(() => searchLibrary(query), [query]);
  const shown = found.find((e) => e.name === open) ?? found[0];
  return (
    <Sheet
      title="Materials"
      question={`What is typical of ${LIBRARY.length} common materials?`}
      actions={
        <>
          <input
            type="search"
            className="field !w-52"
            aria-label="Find a material by name or element"
            placeholder="potash, manure, Mg …"
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
          />
          <Link to="/shelf" className="action">
            Back to the shelf
          </Link>
        </>
      }
    >
      {found.length === 0 ? (
        <Empty>No material is called “{wanted}”, and none holds that element in quantity.</Empty>
      ) : (
        <div className="overflow-x-auto">
          <table className="ledger" data-testid="library">
            <caption className="sr-only">Common materials with typical figures</caption>
            <thead>
              <tr>
                <th scope="col">Material</th>
                <th scope="col">kind</th>
                <th scope="col">typical, by mass</th>
                <th scope="col">
                  <span className="sr-only">Take it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {found.map((entry) => (
                <tr key={entry.name} className={entry === shown ? 'bg-paper' : ''}>
                  <th scope="row">
                    <button
                      type="button"
                      className="plain text-left align-top"
                      aria-pressed={entry === shown}
                      onClick={() => setOpen(entry.name)}
                    >
                      {entry.name}
                    </button>
                  </th>
                  <td className="text-faint">{entry.group}</td>
                  <td className="text-[0.9375rem]">{figuresOf(entry)}</td>
                  <td className="num">
                    <Link to={`/shelf/new?from=${encodeURIComponent(entry.name)}`} className="plain">
                      My bag of this<span className="sr-only">: {entry.name}</span>
                    </Link>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <MarginNotes>
        {shown && <Facts entry={shown} />}
        <MarginNote title="Only typical">
          <p>A bag’s own label outranks all of this, and a lab report outranks the label.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
