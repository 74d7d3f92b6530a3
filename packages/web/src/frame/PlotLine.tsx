import { memo } from 'react';
import { Link } from 'react-router';
import { CircleQuestionMark } from 'lucide-react';
import { toSite } from '@wheat-ledger/contract';
import { CROP_NAMES, formatGiven, formatNumber, MEDIUM_NAMES, siteSoilTemperature } from '@wheat-ledger/core';
import { useLedgersQuery, useRecords } from '../app/api';
import { settingsSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { usePlot, useSeasonRecords } from '../app/workspace';
import { LedgerSwitch } from './LedgerSwitch';
import { FindField, UnitsButton } from './OnDemand';

const { changed } = settingsSlice.actions;

const Chip = ({ children }: { children: React.ReactNode }) => (
  <span className="whitespace-nowrap border-l border-rule pl-2.5 text-sm text-faint">{children}</span>
);

/** Which plot everything is worked out for, what is known of its soil, units and search. */
export const PlotLine = memo(function PlotLine({ onHelp }: { onHelp: () => void }) {
  const { plot, plots } = usePlot();
  const { chosen } = useSeasonRecords(plot?.id);
  const { records: own } = useRecords('crop');
  const crop = chosen && (own.find((c) => c.id === chosen.cropId)?.name ?? CROP_NAMES[chosen.crop ?? ''] ?? '');
  const dispatch = useAppDispatch();
  // Where there are several ledgers, theirs is the name that matters, and the line has no room for all.
  const several = (useLedgersQuery().data ?? []).length > 1;
  const warmth = plot && chosen && siteSoilTemperature(toSite(plot), chosen.from, 1)[0];
  return (
    <header className="no-print flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b-[3px] border-double border-line-strong bg-paper px-3 py-2">
      <Link to="/shelf" className="mr-2 flex items-center gap-2 font-slab text-lg font-bold">
        <img src="/mark.svg" alt="" width="26" height="26" />
        <span className={several ? 'sr-only' : 'sr-only xl:not-sr-only'}>Wheat Ledger</span>
      </Link>
      <LedgerSwitch />
      {plot ? (
        <>
          <select
            aria-label="Plot"
            className={`field min-w-0 !w-auto flex-1 font-semibold sm:flex-none sm:max-w-60`}
            value={plot.id}
            onChange={(e) => dispatch(changed({ plotId: e.target.value }))}
          >
            {plots.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
          <span className="hidden flex-wrap items-center gap-2.5 md:flex">
            <Chip>{formatGiven(plot.areaM2)} m²</Chip>
            <Chip>
              {crop !== undefined ? (
                <span className="inline-block max-w-36 truncate align-bottom" title={crop}>
                  {crop}
                </span>
              ) : (
                <Link to={`/ground/${plot.id}#seasons`} className="plain">
                  say what grows
                </Link>
              )}
            </Chip>
            <Chip>
              {plot.medium === 'mineralSoil' ? plot.texture : MEDIUM_NAMES[plot.medium]},{' '}
              {plot.pH === undefined ? 'pH not measured' : `pH ${plot.pH}`}
            </Chip>
            {!several && warmth !== undefined && <Chip>{formatNumber(warmth, 2)} °C at planting</Chip>}
          </span>
        </>
      ) : (
        <Link to="/ground" className="plain">
          Enter a plot
        </Link>
      )}
      <span className="ml-auto flex items-center gap-2">
        <FindField />
        <UnitsButton />
        <button type="button" className="action !hidden sm:!inline-flex" onClick={onHelp} title="Words and keys (?)">
          <CircleQuestionMark size={16} aria-hidden="true" />
          <span className="sr-only">Words and keys</span>
        </button>
      </span>
    </header>
  );
});
