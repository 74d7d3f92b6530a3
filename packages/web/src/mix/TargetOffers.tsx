import { useFormContext } from 'react-hook-form';
import type { PlotRecord, ProgrammeRecord } from '@wheat-ledger/contract';
import {
  compoundPerElement,
  cropUptake,
  formatGiven,
  parseAdvice,
  printDay,
  typedNumber,
  type Basis,
  type Crop,
  type Nutrient,
  type TargetKind,
} from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useSeasons, type ChosenSeason } from '../app/seasons';
import { useReportsOf } from '../app/soil';
import { useProgrammeNumbers } from '../app/useDoings';
import { usePlot } from '../app/workspace';
import type { RecipeText } from './recipeText';

const SHOWN: readonly (readonly [Nutrient, Basis])[] = [
  ['N', 'element'],
  ['P', 'P2O5'],
  ['K', 'K2O'],
];
/** What is wanted for a hectare, as it is typed; undefined where none of it is known. */
function perHectare(kgPerHa: (nutrient: Nutrient) => number | undefined): string | undefined {
  const told = SHOWN.flatMap(([nutrient, basis]): readonly string[] => {
    const kg = kgPerHa(nutrient);
    const name = basis === 'element' ? nutrient : basis;
    return kg === undefined || kg <= 0
      ? []
      : [`${typedNumber(Number((kg * compoundPerElement(basis)).toPrecision(3)))} kg/ha ${name}`];
  });
  return told.length > 0 ? told.join(', ') : undefined;
}

interface Offer {
  readonly words: string;
  readonly strength: TargetKind;
  readonly target: string;
  readonly madeFor: string;
}

/** What a crop takes up of an element, kg/ha; undefined where that is not known. */
function uptakeOf(crop: Crop, nutrient: Nutrient): number | undefined {
  const uptake = cropUptake(crop, nutrient);
  return uptake.kind === 'figure' ? uptake.figure.value.mid : undefined;
}
/** The ground that a season stands on. */
const groundOf = (plot: PlotRecord, { season }: ChosenSeason): number => plot.areaM2 * season.share;

const USUAL: Offer = { words: '5-3-4, a usual garden feed', strength: 'grade', target: '5-3-4', madeFor: '' };

/** The ratio in which a crop takes its nutrients up. */
function ratioOffer(crop: Crop): readonly Offer[] {
  const parts = SHOWN.map(([n, basis]) => Math.round((uptakeOf(crop, n) ?? 0) * compoundPerElement(basis)));
  if (parts.some((p) => p <= 0)) return [];
  const ratio = parts.join(':');
  const words = `${ratio}, as ${crop.name.toLowerCase()} takes them up`;
  return [{ words, strength: 'ratio', target: ratio, madeFor: '' }];
}
/** Amounts for so much ground; nothing where none of them is known. */
function amountOffer(why: string, target: string | undefined, plot: PlotRecord, m2: number): readonly Offer[] {
  const words = `${why} on ${plot.name}, ${formatGiven(m2)} m²`;
  return target === undefined ? [] : [{ words, strength: 'amount', target, madeFor: `${typedNumber(m2)} m²` }];
}

/** Targets in one step: a usual garden feed, the ratio in which the crop takes its nutrients up, what it takes up on its plot, and what a soil report asks for. */
function useOffers(plot: PlotRecord | undefined, chosen: ChosenSeason | undefined): readonly Offer[] {
  const [report] = useReportsOf(plot?.id);
  const crop = chosen?.season.crop;
  if (!plot) return [USUAL];
  const ground = chosen ? groundOf(plot, chosen) : plot.areaM2;
  const need = crop && perHectare((n) => uptakeOf(crop, n));
  const advice = report?.advice ? parseAdvice(report.advice) : undefined;
  const asked = advice?.ok ? perHectare((n) => advice.advice[n]?.mid) : undefined;
  return [
    USUAL,
    ...(crop ? ratioOffer(crop) : []),
    ...amountOffer(`what ${crop?.name.toLowerCase() ?? ''} takes up`, need, plot, ground),
    ...amountOffer(`what the soil report of ${printDay(report?.sampledOn ?? '')} asks for`, asked, plot, ground),
  ];
}

/** What is still wanted once a programme has brought what it brings; nothing where it brings all of it. */
function RestOffer({
  plot,
  open,
  programme,
  onTake,
}: {
  plot: PlotRecord;
  open: ChosenSeason;
  programme: ProgrammeRecord;
  onTake: (offer: Offer) => void;
}) {
  const { totals } = useProgrammeNumbers(plot, open, programme);
  const { crop } = open.season;
  const rest = perHectare((n) => {
    const uptake = uptakeOf(crop, n);
    const brought = totals.find((t) => t.analyte === n)?.supply.value.mid ?? 0;
    return uptake === undefined ? undefined : uptake - brought;
  });
  const why = `what ${crop.name.toLowerCase()} still needs beside “${programme.name}”`;
  const [offer] = amountOffer(why, rest, plot, groundOf(plot, open));
  return (
    offer && (
      <button type="button" className="action" onClick={() => onTake(offer)}>
        {offer.words}
      </button>
    )
  );
}

/** The offers as buttons. */
export function TargetOffers() {
  const { setValue } = useFormContext<RecipeText>();
  const { plot } = usePlot();
  const { chosen } = useSeasons(plot?.id);
  const { records } = useRecords('programme');
  const take = ({ strength, target, madeFor }: Offer): void => {
    setValue('strength', strength, { shouldDirty: true });
    setValue('madeFor', madeFor, { shouldDirty: true });
    setValue('target', target, { shouldDirty: true });
  };
  const programmes = records.filter((p) => p.seasonId === chosen?.record.id && p.applications.length > 0);
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {useOffers(plot, chosen).map((offer) => (
        <button key={offer.words} type="button" className="action" onClick={() => take(offer)}>
          {offer.words}
        </button>
      ))}
      {plot &&
        chosen &&
        programmes.map((programme) => (
          <RestOffer key={programme.id} plot={plot} open={chosen} programme={programme} onTake={take} />
        ))}
    </div>
  );
}
