import { cautionsOf, formatGiven, labelChecks, priceHistory, printDay, type Product } from '@wheat-ledger/core';
import { useAppSelector } from '../app/store';
import { Bag } from '../ui/Bag';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Remark } from '../ui/Sheet';

/** Beside the label: the bag as typed so far, what contradicts, and the usual cautions. */
export function LabelMargin({ draft }: { draft: Product }) {
  const basis = useAppSelector((s) => s.settings.basis);
  const findings = labelChecks(draft);
  const cautions = cautionsOf([draft]);
  const prices = priceHistory(draft);
  return (
    <MarginNotes>
      <MarginNote title="The bag so far">
        <div className="flex justify-center">
          <Bag product={draft} basis={basis} width={116} />
        </div>
      </MarginNote>
      <MarginNote title="Label checks">
        <div aria-live="polite" className="flex flex-col gap-2" data-testid="label-checks">
          {findings.length === 0 && <p className="text-moss">No contradiction so far.</p>}
          {findings.map((f) => (
            <Remark key={f.code + f.path + f.message} tone={f.severity === 'note' ? 'note' : 'caution'}>
              {f.severity === 'impossible' && <b>Cannot be saved. </b>}
              {f.message}
            </Remark>
          ))}
        </div>
      </MarginNote>
      {prices.length > 1 && (
        <MarginNote title="Prices seen">
          <ul data-testid="prices-seen">
            {prices.map(({ offer, figure, cheapest }, i) => (
              <li key={i} className="border-b border-rule py-1">
                <span className="flex gap-2">
                  <span className="mr-auto">{offer.seenOn ? printDay(offer.seenOn) : 'no date'}</span>
                  <FigureButton figure={figure} /> {figure.unit.text}
                </span>
                <span className="text-[0.875rem] text-faint">
                  {formatGiven(offer.size)} {offer.unit}
                  {offer.seller ? `, ${offer.seller}` : ''}
                  {cheapest && <b className="text-moss"> cheapest seen</b>}
                </span>
              </li>
            ))}
          </ul>
        </MarginNote>
      )}
      {cautions.length > 0 && (
        <MarginNote title="Handling">
          {cautions.map((c) => (
            <Remark key={c} tone="caution">
              {c}
            </Remark>
          ))}
        </MarginNote>
      )}
    </MarginNotes>
  );
}
