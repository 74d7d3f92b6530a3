import { useFormContext } from 'react-hook-form';
import type { PlotRecord, ProgrammeRecord } from '@wheat-ledger/contract';
import { formatTrimmed, printRate, productGiven, type Product } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons, type ChosenSeason } from '../app/seasons';
import { useProgrammeNumbers } from '../app/useDoings';
import { usePlot } from '../app/workspace';
import { TextField } from '../ui/Field';
import type { ClaimText } from './claimText';

/** Takes over what a programme gives of the bag in a season. */
function FromProgramme({
  plot,
  open,
  programme,
  product,
}: {
  plot: PlotRecord;
  open: ChosenSeason;
  programme: ProgrammeRecord;
  product: Product;
}) {
  const { setValue } = useFormContext<ClaimText>();
  const given = productGiven(useProgrammeNumbers(plot, open, programme), product.id);
  if (!given) return null;
  const dose = `${formatTrimmed(given.value.mid / 10, 4)} g/m²`;
  return (
    <button
      type="button"
      className="plain"
      onClick={() => setValue('rate', { amount: dose, use: '', perYear: '1' }, { shouldDirty: true })}
    >
      {dose} a season, as in “{programme.name}”
    </button>
  );
}

/** The dose that the claim is judged at: the label's, one's own, or that of a programme. */
export function DosePart({ product }: { product: Product }) {
  const { plot } = usePlot();
  const { chosen } = useSeasons(plot?.id);
  const { records } = useRecords('programme');
  const programmes = records.filter((p) => p.seasonId === chosen?.record.id);
  const label = product.directions.map((d) => printRate(d)).join(', ') || 'the label gives none';
  return (
    <div className="flex flex-wrap items-end gap-3">
      <TextField
        name="rate.amount"
        label="Judged at another dose than the label’s"
        placeholder={label}
        className="w-72"
      />
      <TextField name="rate.perYear" label="Times a year" inputMode="decimal" placeholder="1" className="w-28" />
      <p className="flex flex-wrap gap-x-4 pb-1.5 text-[0.9375rem]">
        {plot &&
          chosen &&
          programmes.map((programme) => (
            <FromProgramme key={programme.id} plot={plot} open={chosen} programme={programme} product={product} />
          ))}
      </p>
    </div>
  );
}
