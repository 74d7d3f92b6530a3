import {
  ClaimInput,
  CropInput,
  cropProblems,
  PlotInput,
  ProductInput,
  ProgrammeInput,
  programmeProblems,
  RecipeInput,
  SeasonInput,
  toClaim,
  toProduct,
  validateInput,
} from '@wheat-ledger/contract';
import { judge, labelChecks, nitrogenPools, productRelease, weekly } from '@wheat-ledger/core';
import { CLAIMS, claimWithStudies, CROPS, PLOTS, PRODUCTS, PROGRAMMES, RECIPES, SEASONS, STUDIES } from './index.js';
import { siteOf } from '../test/siteOf.js';
import vectors from './releaseVectors.json';

const ID = '00000000-0000-4000-8000-000000000001';
const known = new Set(PRODUCTS.map((p) => p.name));

test.each(PRODUCTS.map((p) => [p.name, p] as const))(
  '%s fits the contract and its label holds together',
  (_name, product) => {
    expect(validateInput(ProductInput, product)).toMatchObject({ ok: true });
    expect(
      labelChecks(toProduct(product))
        .filter((f) => f.severity !== 'note')
        .map((f) => f.code),
    ).toEqual([]);
  },
);
test.each(PLOTS.map((p) => [p.name, p] as const))('plot %s fits', (_name, plot) =>
  expect(validateInput(PlotInput, plot)).toMatchObject({ ok: true }),
);

test('claims and recipes fit, and speak of products on the shelf', () => {
  for (const { product, ...claim } of CLAIMS) {
    expect(known).toContain(product);
    expect(validateInput(ClaimInput, { ...claimWithStudies(claim, () => ID), productId: ID })).toMatchObject({
      ok: true,
    });
  }
  for (const { parts, ...recipe } of RECIPES) {
    for (const part of parts) expect(known).toContain(part.product);
    expect(
      validateInput(RecipeInput, { ...recipe, parts: parts.map((p) => ({ productId: ID, parts: p.parts })) }),
    ).toMatchObject({ ok: true });
  }
});

test('crops, seasons and programmes fit, and speak of what there is', () => {
  for (const crop of CROPS) {
    expect(validateInput(CropInput, crop)).toMatchObject({ ok: true });
    expect(cropProblems(crop)).toEqual([]);
  }
  for (const { plot, own, ...season } of SEASONS) {
    expect(PLOTS.map((p) => p.name)).toContain(plot);
    if (own !== undefined) expect(CROPS.map((c) => c.name)).toContain(own);
    const input = { ...season, plotId: ID, ...(own === undefined ? {} : { cropId: ID }) };
    expect(validateInput(SeasonInput, input)).toMatchObject({ ok: true });
  }
  for (const { plot, from, applications, ...programme } of PROGRAMMES) {
    expect(SEASONS.some((s) => s.plot === plot && s.from === from)).toBe(true);
    const named = applications.map(({ product, recipe, ...doing }) => ({
      ...doing,
      ...(product === undefined ? {} : { productId: ID }),
      ...(recipe === undefined ? {} : { recipeId: ID }),
    }));
    for (const { product } of applications) if (product !== undefined) expect(known).toContain(product);
    const input = { ...programme, seasonId: ID, applications: named };
    expect(validateInput(ProgrammeInput, input)).toMatchObject({ ok: true });
    expect(programmeProblems(input)).toEqual([]);
  }
});

test('the sample shows the whole range: every pool, a tie-up, a bag without a price, and differing verdicts', () => {
  const pools = PRODUCTS.map((p) => nitrogenPools(toProduct(p))).filter((r) => r.kind === 'pools');
  for (const pool of ['nitrate', 'ammonium', 'urea', 'coated', 'organic'] as const)
    expect(pools.some((r) => r.pools[pool] > 0.05)).toBe(true);
  const site = siteOf(PLOTS[0]!);
  const tiedUp = PRODUCTS.map((p) => productRelease(toProduct(p, p.name), site, { daysOnSurface: 0 })).filter(
    (r) => r.kind === 'release' && Math.min(...r.run.mineral) < -0.05,
  );
  expect(tiedUp.map((r) => r.product.name)).toContain('Barn straw');
  expect(PRODUCTS.some((p) => p.offers.length === 0)).toBe(true);
  const verdicts = new Set(
    CLAIMS.map(
      (c) =>
        judge(
          toClaim(
            claimWithStudies(c, (title) => title),
            toProduct(PRODUCTS.find((p) => p.name === c.product)!),
            new Map(STUDIES.map((s) => [s.title, s])),
          ),
        ).verdict,
    ),
  );
  expect(verdicts.size).toBeGreaterThanOrEqual(2);
});

test('everything invented says sample where it could be taken for evidence', () => {
  for (const claim of CLAIMS) expect(claim.saidBy).toContain('sample');
  for (const { sample, title, source } of STUDIES)
    expect([sample, /sample/i.test(title), source]).toEqual([true, true, 'invented for the sample']);
  for (const line of PRODUCTS.flatMap((p) => p.analysis).filter((l) => l.provenance === 'measured'))
    expect(line.source).toContain('sample');
});

test('the release of the sample’s bags is what it was when it was last written down', () => {
  const kept = vectors as Readonly<Record<string, readonly number[]>>;
  const site = siteOf(PLOTS[0]!);
  const found = PRODUCTS.flatMap((p) => {
    const release = productRelease(toProduct(p, p.name), site, { daysOnSurface: 0 });
    return release.kind === 'release' ? [{ name: p.name, weeks: weekly(release.run.available) }] : [];
  });
  expect(found.map((f) => f.name)).toEqual(Object.keys(kept));
  for (const { name, weeks } of found)
    weeks.forEach((x, w) => expect(Math.abs(x - kept[name]![w]!)).toBeLessThan(1e-12));
});
