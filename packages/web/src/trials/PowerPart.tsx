import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { TrialInput } from '@wheat-ledger/contract';
import { errorDf, formatTrimmed, leastDifference, leastP, leastPAlone, seeWords } from '@wheat-ledger/core';
import { EDGE } from '../ui/weekAxes';

const MOST_DRAWN = 12;

/** How large a difference so many of each would show, drawn, and what this trial can see. */
export function PowerPart({ trial }: { trial: TrialInput }) {
  const { layout, arms, cvPercent, wouldChangePercent } = trial;
  const times = layout === 'latin' ? arms.length : trial.replicates;
  const cv = cvPercent / 100;
  if (!(cv > 0) || arms.length < 2 || times < 1) return null;
  const at = (n: number): number | undefined => leastDifference(cv, n, errorDf(layout, arms.length, n));
  const points = Array.from({ length: MOST_DRAWN - 1 }, (_, i) => i + 2).map((n) => ({
    n,
    percent: 100 * (at(n) ?? Number.NaN),
  }));
  const enough = points.find((p) => p.percent <= wouldChangePercent)?.n;
  const more = at(times + 1);
  const least = leastP(layout, arms.length, times);
  const alone = leastPAlone(layout, arms.length, times);
  return (
    <section data-testid="power">
      <p>
        With {times} of each{' '}
        {layout === 'random' ? 'without blocks' : layout === 'blocks' ? 'in blocks' : 'in a square'} and a spread of{' '}
        {formatTrimmed(cvPercent, 3)} %, <b>{seeWords(layout, arms.length, times, cv)}</b>.{' '}
        {layout !== 'latin' && more !== undefined && `One more of each: about ${formatTrimmed(more * 100, 2)} %. `}
        {layout !== 'latin' &&
          (enough === undefined
            ? `Not even ${MOST_DRAWN} of each would show the ${formatTrimmed(wouldChangePercent, 3)} % that would change what you do.`
            : `The ${formatTrimmed(wouldChangePercent, 3)} % that would change what you do need ${enough} of each.`)}{' '}
        <span className="text-faint">
          The least p this layout can reach is {formatTrimmed(least, 2)}
          {alone > least && `, where one treatment alone differs about ${formatTrimmed(alone, 2)}`}.
        </span>
      </p>
      {layout !== 'latin' && (
        <figure className="mt-2 max-w-xl">
          <div
            className="h-44"
            role="img"
            aria-label={`From ${formatTrimmed(points[0]?.percent ?? 0, 2)} % with 2 of each to ${formatTrimmed(points.at(-1)?.percent ?? 0, 2)} % with ${MOST_DRAWN}`}
          >
            <ResponsiveContainer width="100%" height="100%">
              <LineChart data={points} margin={{ top: 12, right: 12, bottom: 16, left: 4 }}>
                <CartesianGrid stroke="var(--rule)" vertical={false} />
                <XAxis
                  {...EDGE}
                  dataKey="n"
                  type="number"
                  domain={[2, MOST_DRAWN]}
                  tickCount={MOST_DRAWN - 1}
                  label={{ value: 'of each', position: 'insideBottom', offset: -8, fontSize: 13, fill: 'var(--faint)' }}
                />
                <YAxis {...EDGE} width={62} unit=" %" domain={[0, 100]} allowDataOverflow />
                <ReferenceLine y={wouldChangePercent} stroke="var(--beet)" strokeDasharray="5 4" />
                <ReferenceLine x={Math.min(MOST_DRAWN, Math.max(2, times))} stroke="var(--moss)" />
                <Line dataKey="percent" stroke="var(--wheat)" strokeWidth={2} dot={false} isAnimationActive={false} />
              </LineChart>
            </ResponsiveContainer>
          </div>
          <figcaption className="text-sm text-faint">
            The least difference that is seen four times in five. Dashed: what would change what you do; upright: this
            trial.
          </figcaption>
        </figure>
      )}
    </section>
  );
}
