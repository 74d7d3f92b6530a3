import { useMemo } from 'react';
import {
  FORM_NAMES,
  formatTrimmed,
  formatTrimmedRange,
  mixAsProduct,
  mixCharacter,
  scaleRange,
  type Mixture,
  type OfMix,
} from '@wheat-ledger/core';
import { useWindowShares } from '../app/useWindowShares';
import { Term } from '../glossary/Term';
import { FigureButton } from '../ui/FigureButton';

function Told({ of, unit }: { of: OfMix; unit: string }) {
  if (of.kind === 'unknown')
    return <span className="text-faint">not known: nobody said it of {of.of.join(' and ')}</span>;
  return (
    <>
      <FigureButton figure={of.figure}>{formatTrimmedRange(of.figure.value, 3)}</FigureButton> {unit}
    </>
  );
}

/** How much of its nitrogen the crop on the plot can have in time. */
function InTime({ mix }: { mix: Mixture }) {
  const whole = useMemo(() => [mixAsProduct('mix', 'the mix', mix)], [mix]);
  const { site, shares, week } = useWindowShares(whole);
  const share = shares.get('mix');
  if (!site || !share) return null;
  return (
    <div>
      <dt className="text-sm text-faint">Nitrogen set free in time</dt>
      <dd>
        <FigureButton figure={share}>{formatTrimmedRange(scaleRange(share.value, 100), 2)}</FigureButton> % by week{' '}
        {week}, for {site.season.crop.name.toLowerCase()}
      </dd>
    </div>
  );
}

/** What a mix is besides its nutrients: salt, lime, the forms of its nitrogen, and how much of it comes in time. */
export function CharacterPart({ mix }: { mix: Mixture }) {
  const { salt, liming, forms } = useMemo(() => mixCharacter(mix), [mix]);
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-2" data-testid="mix-character">
      <div>
        <dt className="text-sm text-faint">
          <Term of="saltIndex">Salt index</Term>
        </dt>
        <dd>
          <Told of={salt} unit="" />
        </dd>
      </div>
      <div>
        <dt className="text-sm text-faint">
          <Term of="liming">Liming effect</Term>
        </dt>
        <dd>
          <Told of={liming} unit="kg CaCO₃ per 100 kg" />
        </dd>
      </div>
      {forms.length > 0 && (
        <div>
          <dt className="text-sm text-faint">Its nitrogen</dt>
          <dd>
            {forms.map(({ form, figure }, i) => (
              <span key={form}>
                {i > 0 && ', '}
                <FigureButton figure={figure}>{formatTrimmed(figure.value.mid * 100, 2)}</FigureButton> %{' '}
                {FORM_NAMES[form]}
              </span>
            ))}
          </dd>
        </div>
      )}
      <InTime mix={mix} />
    </dl>
  );
}
