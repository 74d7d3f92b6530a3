import { useMemo, type ReactNode } from 'react';
import type { ClaimInput, StakeInput } from '@wheat-ledger/contract';
import {
  breakEven,
  chanceFigure,
  chanceThatItPays,
  formatFixed,
  formatTrimmedRange,
  scaleRange,
  valueOfTesting,
  type Chance,
  testingFigure,
  type Evidence,
  type Figure,
  type Product,
  type Range,
} from '@wheat-ledger/core';
import { FormPart } from '../ui/EditForm';
import { TextField } from '../ui/Field';
import { FigureButton } from '../ui/FigureButton';

/** What is taken where nothing was typed. */
const USUAL = { seasons: 1, units: 4, cv: 0.12 } as const;

const percents = (share: Range): string => `${formatTrimmedRange(scaleRange(share, 100), 2)} %`;
const ChanceWords = ({ chance, share, where }: { chance: Chance; share: Figure; where: 'onAverage' | 'here' }) =>
  chance.kind === 'none' ? (
    chance.why
  ) : (
    <FigureButton figure={chanceFigure(chance.value, share, where)}>{percents(chance.value)}</FigureButton>
  );

const Row = ({ name, children }: { name: string; children: ReactNode }) => (
  <>
    <dt className="text-faint">{name}</dt>
    <dd>{children}</dd>
  </>
);

/** What a trial of one's own would be worth before anything is bought. */
function Testing({ evidence, stake, share, less, stakePerM2 }: Judged & { share: number; stakePerM2: Figure }) {
  const trial = { n: stake.units ?? USUAL.units, cv: stake.cv ?? USUAL.cv };
  const worth = valueOfTesting(evidence, share, less, trial);
  if (!worth) return 'Three studies are needed to tell.';
  const over = { areaM2: stake.areaM2 ?? 1, seasons: stake.seasons ?? USUAL.seasons };
  const where = stake.areaM2 === undefined ? 'on each m²' : `on ${formatFixed(stake.areaM2, 0)} m²`;
  return (
    <>
      up to{' '}
      <b>
        <FigureButton figure={testingFigure(worth, stakePerM2, stake.currency, over)} />
      </b>{' '}
      {stake.currency} {where} over {over.seasons} {over.seasons === 1 ? 'season' : 'seasons'}, by {trial.n} units an
      arm that differ by {formatFixed(trial.cv * 100, 0)} % among themselves. A trial that costs more does not pay. As
      it is known now: {worth.decision}.
    </>
  );
}

interface Judged {
  readonly evidence: Evidence;
  readonly stake: StakeInput;
  readonly less: boolean;
}

/** Break-even, the chance that it pays, and what testing first is worth. */
export function WorthAnswer({ product, ...judged }: Judged & { product: Product }) {
  const { evidence, stake, less } = judged;
  const even = useMemo(() => breakEven(product, stake), [product, stake]);
  if (even.kind === 'unknown') return <p className="text-faint">{even.why}</p>;
  const { share, costPerM2, stakePerM2 } = even;
  const { onAverage, here } = chanceThatItPays(evidence, share.value, less);
  return (
    <dl className="mt-3 grid gap-x-6 gap-y-1 text-[0.9375rem] sm:grid-cols-[auto_1fr]" data-testid="worth">
      <Row name={less ? 'Pays when it spares' : 'Pays when it adds'}>
        <b>
          <FigureButton figure={share}>{percents(share.value)}</FigureButton>
        </b>{' '}
        {less ? 'of the loss' : 'to the yield'}: <FigureButton figure={costPerM2} /> {costPerM2.unit.text} of{' '}
        <FigureButton figure={stakePerM2} /> {stakePerM2.unit.text}
      </Row>
      <Row name="Chance of that, on average">
        <ChanceWords chance={onAverage} share={share} where="onAverage" />
      </Row>
      <Row name="In one more place like these">
        <ChanceWords chance={here} share={share} where="here" />
      </Row>
      <Row name="Testing it first is worth">
        <Testing {...judged} share={share.value.mid} stakePerM2={stakePerM2} />
      </Row>
    </dl>
  );
}

/** Is it worth it? What is at stake, typed, and what follows. */
export function WorthPart({ input, product, evidence }: { input: ClaimInput; product: Product; evidence: Evidence }) {
  const less = input.less ?? false;
  const number = { inputMode: 'decimal' } as const;
  return (
    <FormPart title="Is it worth it?" hint="what it has to bring before it pays">
      <div className="no-print flex flex-wrap items-start gap-3">
        <TextField
          name="stake.base"
          label={less ? 'What is usually lost, kg/m²' : 'Usual yield, kg/m²'}
          placeholder="0.4–0.6"
          {...number}
          className="w-44"
        />
        <TextField name="stake.value" label="A kg of it brings" placeholder="2.50" {...number} className="w-36" />
        <TextField name="stake.currency" label="Currency" placeholder="EUR" className="w-24" />
        <TextField name="stake.area" label="Ground, m²" {...number} className="w-28" />
        <TextField name="stake.seasons" label="Seasons" placeholder="1" {...number} className="w-24" />
        <TextField name="stake.units" label="Trial: units an arm" placeholder="4" {...number} className="w-36" />
        <TextField name="stake.cv" label="They differ by, %" placeholder="12" {...number} className="w-36" />
      </div>
      {input.stake ? (
        <WorthAnswer product={product} evidence={evidence} stake={input.stake} less={less} />
      ) : (
        <p className="no-print mt-2 text-faint">Type a usual yield and what a kg of it brings.</p>
      )}
    </FormPart>
  );
}
