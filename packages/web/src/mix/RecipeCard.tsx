import { useMemo } from 'react';
import { formatFixed, mixture, parseGrade, printDay, symbolIn, weighedWords, weighOut } from '@wheat-ledger/core';
import { today } from '../app/today';
import { useAppSelector } from '../app/store';
import { FigureButton } from '../ui/FigureButton';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Sheet } from '../ui/Sheet';
import { EqualDose } from './EqualDose';
import { MixCautions } from './MixCautions';
import { RecipePages, useRecipePage, type OpenRecipe } from './RecipePages';
import { TubLabel } from './TubLabel';
import { WeighOutTable } from './WeighOutTable';

/** A recipe on one page for the shed: what to weigh, what it then is, what to mind, and a label for the tub. */
export function RecipeCard() {
  const page = useRecipePage();
  if ('instead' in page) return page.instead;
  return <Card {...page} />;
}

function Card({ recipe, reading }: OpenRecipe) {
  const massUnit = useAppSelector((s) => s.settings.massUnit);
  const mix = useMemo(() => (reading.kind === 'components' ? mixture(reading.components) : undefined), [reading]);
  const target = recipe.strength === 'amount' || recipe.target === '' ? undefined : parseGrade(recipe.target);
  const products = mix?.components.map((c) => c.product) ?? [];
  return (
    <Sheet title={recipe.name} question="The recipe on one page, for the shed." actions={<PrintButton />}>
      <RecipePages id={recipe.id} />
      {!mix ? (
        <Empty>{reading.kind === 'unknown' ? reading.why : ''} Keep its parts in the recipe first.</Empty>
      ) : (
        <article className="flex max-w-3xl flex-col gap-5" data-testid="recipe-card">
          <p className="font-slab text-lg">
            {weighedWords(recipe.batchKg, massUnit)} in all
            {recipe.target && `, meant to be ${recipe.target}`}
            {recipe.madeFor && `, for ${recipe.madeFor}`}. Made up on {printDay(today())}.
          </p>
          <MixCautions products={products} />
          <WeighOutTable
            lines={weighOut(mix, recipe.batchKg)}
            batchKg={recipe.batchKg}
            fillerKg={0}
            massUnit={massUnit}
          />
          <ol className="ml-5 list-decimal">
            <li>Weigh the largest part into the dry tub, then the others onto it.</li>
            <li>Turn it over from the bottom until no colour stands out, five times at least.</li>
            <li>Close the tub, and put the label on it.</li>
          </ol>
          <p>
            It then holds{' '}
            {mix.analysis.map(({ nutrient, basis, percent }, i) => (
              <span key={nutrient}>
                {i > 0 && ', '}
                <FigureButton figure={percent}>{formatFixed(percent.value.mid, 1)}</FigureButton> %{' '}
                {symbolIn(nutrient, basis)}
              </span>
            ))}
            , by what its bags say.
          </p>
          {target?.kind === 'one' && <EqualDose mix={mix} target={target.grade} named={recipe.target} />}
          <p className="hidden print:block">
            Mixed by ____________________ on ____________ Notes ______________________________
          </p>
          <TubLabel name={recipe.name} mix={mix} shown />
        </article>
      )}
      <MarginNotes>
        <MarginNote title="On paper">
          <p>Prints on one page in black and white, with boxes to tick and the label to cut out.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}
