import {
  toApplication,
  toClaim,
  toJarReadings,
  toMovement,
  toProduct,
  toShape,
  toSoilReport,
} from '@wheat-ledger/contract';
import {
  bagAs,
  costsPerUnit,
  courseSum,
  CROP_LIBRARY,
  cropRemoval,
  cropStand,
  cropUptake,
  dilutedMgPerL,
  directionsBy,
  elementChecklist,
  everyFigure,
  judge,
  kitchenExtract,
  loadPerHa,
  massFraction,
  mediumVolume,
  mixture,
  NUTRIENTS,
  plotArea,
  priceHistory,
  productRelease,
  readParts,
  computeProgramme,
  soilImplications,
  stockOnHand,
  supplyFraction,
  textureResult,
  unitProblems,
  waterImplications,
  waterYear,
  weighOut,
  type Figure,
} from '@wheat-ledger/core';
import {
  CLAIMS,
  claimWithStudies,
  JAR_TESTS,
  MOVEMENTS,
  PLOTS,
  PRODUCTS,
  PROGRAMMES,
  RECIPES,
  SOIL_REPORTS,
} from './index.js';
import { siteOf } from '../test/siteOf.js';

const products = PRODUCTS.map((p) => toProduct(p, p.name));
const productOf = (name: string) => products.find((p) => p.name === name)!;
const sites = PLOTS.map(siteOf);
const some = (figure: Figure | undefined): readonly Figure[] => (figure ? [figure] : []);

/** Every figure that a view of the sample shows, by where it is shown. */
const SHOWN: Readonly<Record<string, () => readonly Figure[]>> = {
  'what a unit costs': () =>
    products.flatMap((p) =>
      NUTRIENTS.flatMap((nutrient) =>
        (['kg', 'lb'] as const).flatMap((perUnit) =>
          costsPerUnit(p, { nutrient, basis: nutrient === 'P' ? 'P2O5' : 'element', perUnit }).flatMap((c) =>
            c.kind === 'cost' ? [c.figure] : [],
          ),
        ),
      ),
    ),
  'what a kilogram cost': () => products.flatMap((p) => priceHistory(p).map((s) => s.figure)),
  'what a bag holds': () =>
    products.flatMap((p) =>
      NUTRIENTS.flatMap((n) =>
        [massFraction(p, n), supplyFraction(p, n)].flatMap((r) => (r.kind === 'figure' ? [r.figure] : [])),
      ),
    ),
  'what is fed': () =>
    products.flatMap((p) =>
      directionsBy(p, 'water').flatMap((d) =>
        NUTRIENTS.flatMap((n) => {
          const found = dilutedMgPerL(p, d, n);
          return found.kind === 'figure' ? [found.figure] : [];
        }),
      ),
    ),
  'elements at a usable dose': () =>
    products.flatMap((p) =>
      elementChecklist(p, sites[0]!.season.crop).flatMap(({ fraction, perYear, shareOfNeed }) => [
        ...some(fraction),
        ...some(perYear),
        ...some(perYear && loadPerHa(perYear)),
        ...some(shareOfNeed),
      ]),
    ),
  release: () =>
    sites.flatMap((site) =>
      products.flatMap((p) => {
        const found = productRelease(p, site, { daysOnSurface: 7 });
        return found.kind === 'release' ? [courseSum(found, 26), ...found.assumptions] : [];
      }),
    ),
  mixes: () =>
    RECIPES.flatMap((r) => {
      const read = readParts(
        r.parts.map((p) => ({ product: productOf(p.product), parts: p.parts })),
        r.by,
      );
      // A recipe may be kept as a target alone.
      if (read.kind !== 'components' || read.components.length === 0) return [];
      const made = mixture(read.components, 0.1);
      const batch = weighOut(made, 10).flatMap((line) => [line.mass, line.percent]);
      return [...made.analysis.map((n) => n.percent), ...some(made.costPerKg), ...batch];
    }),
  claims: () =>
    CLAIMS.flatMap((c) =>
      judge(
        toClaim(
          claimWithStudies(c, (title) => title),
          productOf(c.product),
        ),
      ).checks.flatMap((check) => check.figures),
    ),
  'soil reports': () =>
    SOIL_REPORTS.flatMap((r) => {
      const site = sites[PLOTS.findIndex((p) => p.name === r.plot)]!;
      return soilImplications(toSoilReport({ ...r, plotId: '' }), site, 6.5, 'US').flatMap((i) => [
        ...some(i.figure),
        ...some(i.whole),
      ]);
    }),
  water: () =>
    PLOTS.flatMap((p, i) => {
      const year = waterYear(sites[i]!);
      return [
        ...(year ? Object.values(year) : []),
        ...waterImplications(p.water ?? {}, 200).flatMap((w) => some(w.figure)),
      ];
    }),
  'plots and jars': () => [
    ...PLOTS.flatMap((p) => {
      const shape = p.shape && toShape(p.shape);
      return shape ? [plotArea(shape), ...some(mediumVolume(shape))] : [];
    }),
    ...JAR_TESTS.flatMap((j) => {
      const read = textureResult(toJarReadings(j));
      return typeof read === 'string' ? [] : [read.sand, read.silt, read.clay];
    }),
  ],
  stock: () =>
    products.flatMap((p) => {
      const on = stockOnHand(
        p,
        MOVEMENTS.filter((m) => m.product === p.name).map((m) => toMovement({ ...m, productId: '' })),
      );
      return on.kind === 'figure' ? [on.figure] : [];
    }),
  programmes: () =>
    PROGRAMMES.flatMap(({ plot, applications }) => {
      const at = PLOTS.findIndex((p) => p.name === plot);
      const doings = applications.map((a) => ({
        application: toApplication(a),
        given: bagAs(productOf(a.product ?? '')),
      }));
      const { rows, totals } = computeProgramme(doings, { areaM2: PLOTS[at]!.areaM2 }, sites[at]!.season, []);
      return [
        ...totals.flatMap((x) => [x.figure, x.supply]),
        ...rows.flatMap(({ applied }) =>
          applied.kind === 'applied'
            ? [applied.perM2, applied.perHa, applied.whole, applied.area, ...some(applied.perPlant)]
            : [],
        ),
      ];
    }),
  'what crops take up': () =>
    CROP_LIBRARY.flatMap((crop) =>
      NUTRIENTS.flatMap((n) =>
        [cropUptake(crop, n), cropRemoval(crop, n), cropStand(crop)].flatMap((f) =>
          f.kind === 'figure' ? [f.figure] : [],
        ),
      ),
    ),
  kitchen: () => {
    const made = kitchenExtract('citric', 6, 1, 'eggshell', 50);
    return [made.acidDissolves, made.present, made.calcium, made.calciumMgPerL];
  },
};

// Who measured it, weighed it or read it off; a number the program worked out has none of these.
const MEASURED_BY = /tape|the plot|report|water analysis|jar test|as typed|typed as|product record|sample/;
test.each(Object.entries(SHOWN))(
  '%s: nothing that was worked out is shown as measured, read or guessed',
  (_where, shown) => {
    for (const figure of shown().flatMap(everyFigure)) {
      if (figure.how.kind !== 'literal') continue;
      const { provenance, source } = figure.how;
      if (provenance === 'measured') expect(source).toMatch(MEASURED_BY);
      // What was read stands at the end of a working: nothing was put in to get it.
      expect(source).not.toBe('');
      expect('of' in figure.how).toBe(false);
    }
  },
);

test.each(Object.entries(SHOWN))('%s: the units of every working fit', (_where, shown) => {
  const figures = shown();
  expect(figures.length).toBeGreaterThan(0);
  expect([...new Set(figures.flatMap((f) => unitProblems(f)))]).toEqual([]);
  for (const { value } of figures.flatMap(everyFigure)) {
    expect([value.low, value.mid, value.high].every(Number.isFinite)).toBe(true);
    expect(value.low <= value.mid + 1e-9 && value.mid <= value.high + 1e-9).toBe(true);
  }
});
