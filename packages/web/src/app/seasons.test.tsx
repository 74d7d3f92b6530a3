import { screen } from '@testing-library/react';
import { idOf, samplePlots, sampleSeasons, show } from '../../test/show';
import { useSeasons, useSiteIn, type ChosenSeason } from './seasons';

const plot = samplePlots[0]!;
/** The season is chosen in one place and used in another, as on a page. */
function Inner({ open }: { open: ChosenSeason }) {
  const { season, also = [] } = useSiteIn(plot, open);
  return <p data-testid="site">{`${season.crop.name} with ${also.map((s) => s.crop.name).join(', ')}`}</p>;
}
function Page() {
  const { chosen } = useSeasons(plot.id);
  return chosen ? <Inner open={chosen} /> : null;
}

test('a season shares its ground with the others of the plot, and never with itself', async () => {
  const clover = { ...sampleSeasons[0]!, id: idOf(799), crop: 'white-clover', from: '2026-02-01', share: 0.5 };
  await show(<Page />, { records: { season: [...sampleSeasons, clover] } });
  const words = screen.getByTestId('site').textContent ?? '';
  expect(words).toMatch(/^Heritage bread wheat with /);
  expect(words.slice('Heritage bread wheat'.length)).not.toContain('wheat');
  expect(words).toContain('Winter garlic');
});
