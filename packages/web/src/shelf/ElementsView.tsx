import { useMemo } from 'react';
import { Link } from 'react-router';
import { toProduct, type ProductRecord } from '@wheat-ledger/contract';
import {
  analyteName,
  dilutedMgPerL,
  directionsBy,
  directionWords,
  elementChecklist,
  formatTrimmedRange,
  loadPerHa,
  MARK_WORDS,
  yearlyRate,
  type Direction,
  type ElementMark,
  type ElementRow,
  type Product,
} from '@wheat-ledger/core';
import { usePlotCrop } from '../app/seasons';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { amountWords, shownRange } from '../ui/amountWords';
import { BagPages, useBagPage } from './BagPages';
import { InsidePart } from './InsidePart';

/** Four marks that are told apart without colour. */
const MARK_SIGNS: Readonly<Record<ElementMark, string>> = {
  detected: '●',
  below: '<',
  literature: '○',
  notTested: '–',
};
function Row({ row }: { row: ElementRow }) {
  const { element, mark, fraction, perYear, shareOfNeed, usable, group } = row;
  const below = mark === 'below';
  const brought = perYear && (group === 'contaminant' ? loadPerHa(perYear) : perYear);
  return (
    <tr>
      <th scope="row">
        <span aria-hidden="true" className="inline-block w-5 font-slab">
          {MARK_SIGNS[mark]}
        </span>
        <b>{element}</b> <span className="sr-only sm:not-sr-only">{analyteName(element)}</span>
      </th>
      <td className="hidden text-faint sm:table-cell">{MARK_WORDS[mark]}</td>
      <td className="num">
        {fraction && <FigureButton figure={fraction}>{amountWords(fraction.value, below)}</FigureButton>}
      </td>
      <td className="num">
        {brought && (
          <FigureButton figure={brought}>
            {shownRange(brought.value, below)} {brought.unit.text}
          </FigureButton>
        )}
      </td>
      <td className="num">
        {shareOfNeed && !below && (
          <FigureButton figure={shareOfNeed}>{formatTrimmedRange(shareOfNeed.value, 2)} %</FigureButton>
        )}
      </td>
      <td
        className={`whitespace-nowrap ${usable === 'yes' ? 'font-semibold text-moss' : usable === 'no' ? '' : 'text-faint'}`}
      >
        {group === 'contaminant' ? '' : usable === 'unknown' ? 'cannot tell' : usable}
      </td>
    </tr>
  );
}

/** What the diluted feed holds, which is another thing than the bag; nothing without directions. */
function AsFed({ product, direction }: { product: Product; direction: Direction }) {
  const fed = (['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const).flatMap((n) => {
    const read = dilutedMgPerL(product, direction, n);
    return read.kind === 'figure' ? [{ n, figure: read.figure }] : [];
  });
  const missing = dilutedMgPerL(product, direction, 'N');
  return (
    <p className="my-3" data-testid="as-fed">
      Diluted as the label says, {directionWords(direction)}, the feed holds{' '}
      {fed.length === 0
        ? `nothing that is known: ${missing.kind === 'unknown' ? missing.why : ''}`
        : fed.map(({ n, figure }, i) => (
            <span key={n}>
              {i > 0 && ', '}
              <b>{n}</b> <FigureButton figure={figure} /> mg/L
            </span>
          ))}
      . What is in the bag stands below.
    </p>
  );
}

const GROUPS = [
  ['essential', 'Essential to plants'],
  ['beneficial', 'Beneficial to some'],
  ['contaminant', 'Metals nobody needs'],
] as const;

/** Which elements a bag brings at a usable dose, and which metals with them. */
export function ElementsView() {
  const page = useBagPage();
  if ('instead' in page) return page.instead;
  return <BagElements key={page.record.id} record={page.record} />;
}

function BagElements({ record }: { record: ProductRecord }) {
  const { crop } = usePlotCrop();
  const product = useMemo(() => toProduct(record, record.id), [record]);
  const rows = useMemo(() => (crop ? elementChecklist(product, crop) : []), [product, crop]);
  const rate = yearlyRate(product);
  const atRate = `At the label rate${rate.kind === 'figure' && rate.direction.use !== '' ? ` for ${rate.direction.use}` : ''}`;
  const usable = rows.filter((r) => r.usable === 'yes').map((r) => r.element);
  return (
    <Sheet
      title={record.name}
      question={`Which elements does it bring ${crop ? crop.name.toLowerCase() : 'a crop'} at a usable dose?`}
    >
      <BagPages id={record.id} />
      {!crop && (
        <Empty>
          The dose is weighed against a crop.{' '}
          <Link to="/ground" className="plain">
            Enter a plot
          </Link>{' '}
          first.
        </Empty>
      )}
      {crop && rate.kind === 'unknown' && (
        <Remark tone="note">
          {rate.why} What is in the bag is listed, not what it brings.{' '}
          <Link to={`/shelf/${record.id}`} className="plain">
            Enter the label’s directions
          </Link>
          .
        </Remark>
      )}
      {directionsBy(product, 'water').map((d) => (
        <AsFed key={directionWords(d)} product={product} direction={d} />
      ))}
      {crop && (
        <>
          <p className="my-3 text-[1.0625rem]" data-testid="usable">
            {usable.length > 0 ? (
              <>
                {atRate} it brings <b>{usable.join(', ')}</b> in an amount that can matter: at least a twentieth of what
                the crop takes up in a season.
              </>
            ) : (
              `${atRate} nothing is shown to reach a twentieth of what the crop takes up in a season.`
            )}
          </p>
          <div className="relative overflow-x-auto">
            {GROUPS.map(([group, title]) => (
              <table key={group} className="ledger mb-5" data-testid={`elements-${group}`}>
                <caption className="pb-1 text-left font-slab text-lg font-semibold">{title}</caption>
                <thead>
                  <tr>
                    <th scope="col" className="w-[22%]">
                      Element
                    </th>
                    <th scope="col" className="hidden w-[17%] sm:table-cell">
                      known as
                    </th>
                    <th scope="col" className="num w-[17%]">
                      in the bag
                    </th>
                    <th scope="col" className="num w-[18%]">
                      {group === 'contaminant' ? 'load a year' : 'brought a year'}
                    </th>
                    <th scope="col" className="num w-[15%]">
                      {group === 'contaminant' ? '' : 'of one season'}
                    </th>
                    <th scope="col">{group === 'contaminant' ? '' : 'usable'}</th>
                  </tr>
                </thead>
                <tbody>
                  {rows
                    .filter((r) => r.group === group)
                    .map((row) => (
                      <Row key={row.element} row={row} />
                    ))}
                </tbody>
              </table>
            ))}
          </div>
        </>
      )}
      <InsidePart product={product} />
      <MarginNotes>
        <MarginNote title="Four marks">
          <ul>
            {(['detected', 'below', 'literature', 'notTested'] as const).map((m) => (
              <li key={m}>
                <span aria-hidden="true" className="inline-block w-6 font-slab font-bold">
                  {MARK_SIGNS[m]}
                </span>
                {MARK_WORDS[m]}
              </li>
            ))}
          </ul>
          <p>“Not tested” is not “none”, and “below detection” is neither nothing nor the limit.</p>
        </MarginNote>
        <MarginNote title="Above zero is not enough">
          <p>
            An element counts as usable when the label’s yearly rate brings at least 5 % of what the crop takes up, over
            the whole range of both.
          </p>
        </MarginNote>
        <MarginNote title="Metals">
          <Remark tone="caution">
            The load is only a number: it says neither safe nor unsafe. Limits differ by place: follow your local code,
            and ask a licensed adviser.
          </Remark>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
