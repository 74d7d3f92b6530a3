import { Readable } from 'node:stream';
import type { INestApplicationContext } from '@nestjs/common';
import { MikroORM, RequestContext } from '@mikro-orm/postgresql';
import {
  BenchInput,
  ClaimInput,
  CropInput,
  EntryInput,
  HarvestInput,
  LeafTestInput,
  PourInput,
  TrialInput,
  TrialSheetInput,
  HOME_LEDGER,
  HeapInput,
  JarTestInput,
  KeptSearchInput,
  MovementInput,
  PlotInput,
  ProductInput,
  ProgrammeInput,
  RecipeInput,
  SeasonInput,
  SoilReportInput,
  StudyInput,
  validateInput,
} from '@wheat-ledger/contract';
import {
  BENCH,
  CATALOGUE_LIST,
  catalogueListCsv,
  CLAIMS,
  claimWithStudies,
  CROPS,
  EARLIER_LABELS,
  ENTRIES,
  HARVESTS,
  LEAF_TESTS,
  POUR_READINGS,
  TRIALS,
  HEAPS,
  JAR_TESTS,
  KEPT_SEARCH,
  LOGS,
  MOVEMENTS,
  PLOTS,
  PRODUCTS,
  PROGRAMMES,
  RECIPES,
  SEASONS,
  SOIL_REPORTS,
  STUDIES,
} from '@wheat-ledger/demo';
import { CatalogueImports } from '../catalogue/catalogueImport.service.js';
import { CatalogueRevisions } from '../catalogue/catalogueRevisions.js';
import { KeptSearchStore } from '../catalogue/keptSearch.store.js';
import { StudyStore } from '../claims/study.store.js';
import { ClaimStore } from '../claims/claim.store.js';
import { JarTestStore } from '../ground/jarTest.store.js';
import { LoggerStore } from '../ground/logger.store.js';
import { PlotStore } from '../ground/plot.store.js';
import { SoilReportStore } from '../ground/soilReport.store.js';
import { HeapStore } from '../mix/heap.store.js';
import { RecipeStore } from '../mix/recipe.store.js';
import { MovementStore } from '../shelf/movement.store.js';
import { ProductStore } from '../shelf/product.store.js';
import { CropStore } from '../season/crop.store.js';
import { ProgrammeStore } from '../season/programme.store.js';
import { SeasonStore } from '../season/season.store.js';
import { EntryStore } from '../rounds/entry.store.js';
import { HarvestStore } from '../rounds/harvest.store.js';
import { TrialSheetStore, TrialStore } from '../trials/trial.store.js';
import { LeafTestStore, PourStore } from '../rounds/measured.store.js';
import { BenchService } from '../ledgers/bench.service.js';
import { HOME_WORKSPACE } from '../ledgers/workspace.entity.js';
import { LedgersService } from '../ledgers/ledgers.service.js';
import { alone } from './orm.js';
import { JournalEntry } from '../book/journal.entity.js';

/** The same door that user input comes through. */
function checked<T extends object>(Input: new () => T, plain: object): T {
  const result = validateInput(Input, plain);
  if (!result.ok)
    throw new Error(`The sample does not fit: ${result.problems.map((p) => `${p.path}: ${p.message}`).join(' ')}`);
  return result.value;
}

/** Loads the sample scenario into a database nothing was ever written to. @returns whether it did */
export async function loadSample(app: INestApplicationContext): Promise<boolean> {
  const orm = app.get<MikroORM>(MikroORM);
  return alone(orm, async () => {
    const em = orm.em.fork();
    if ((await em.count(JournalEntry, { workspace: HOME_WORKSPACE })) > 0) return false;
    await RequestContext.create(orm.em, () => load(app));
    return true;
  });
}

async function load(app: INestApplicationContext): Promise<void> {
  await app.get(LedgersService).rename(HOME_LEDGER, { name: 'Ashlark Hollow' });
  const [plots, products, recipes, claims] = [
    app.get(PlotStore),
    app.get(ProductStore),
    app.get(RecipeStore),
    app.get(ClaimStore),
  ];
  const plotOf = new Map<string, string>();
  for (const plot of PLOTS) plotOf.set(plot.name, (await plots.create(checked(PlotInput, plot))).id);
  const cropOf = new Map<string, string>();
  for (const crop of CROPS) cropOf.set(crop.name, (await app.get(CropStore).create(checked(CropInput, crop))).id);
  const seasonOf = new Map<string, string>();
  for (const { plot, own, ...season } of SEASONS) {
    const input = { ...season, plotId: plotOf.get(plot), ...(own === undefined ? {} : { cropId: cropOf.get(own) }) };
    const made = await app.get(SeasonStore).create(checked(SeasonInput, input));
    seasonOf.set(`${plot} ${season.from}`, made.id);
  }
  for (const { plot, ...report } of SOIL_REPORTS)
    await app.get(SoilReportStore).create(checked(SoilReportInput, { ...report, plotId: plotOf.get(plot) }));
  for (const { plot, ...jar } of JAR_TESTS)
    await app.get(JarTestStore).create(checked(JarTestInput, { ...jar, plotId: plotOf.get(plot) }));
  for (const { plot, name, csv } of LOGS) await app.get(LoggerStore).take(plotOf.get(plot) ?? '', name, csv);
  const idOf = new Map<string, string>();
  for (const product of PRODUCTS) {
    const earlier = EARLIER_LABELS[product.name];
    const made = await products.create(checked(ProductInput, { ...product, ...earlier }));
    if (earlier) await products.update(made.id, made.version, checked(ProductInput, product));
    idOf.set(product.name, made.id);
  }
  for (const { product, ...movement } of MOVEMENTS)
    await app.get(MovementStore).create(checked(MovementInput, { ...movement, productId: idOf.get(product) }));
  const studyOf = new Map<string, string>();
  for (const study of STUDIES)
    studyOf.set(study.title, (await app.get(StudyStore).create(checked(StudyInput, study))).id);
  for (const { product, ...claim } of CLAIMS) {
    const said = claimWithStudies(claim, (title) => studyOf.get(title) ?? '');
    await claims.create(checked(ClaimInput, { ...said, productId: idOf.get(product) }));
  }
  const recipeOf = new Map<string, string>();
  for (const { parts, ...recipe } of RECIPES) {
    const made = await recipes.create(
      checked(RecipeInput, {
        ...recipe,
        parts: parts.map((p) => ({ productId: idOf.get(p.product), parts: p.parts })),
      }),
    );
    recipeOf.set(recipe.name, made.id);
  }
  for (const heap of HEAPS) await app.get(HeapStore).create(checked(HeapInput, heap));
  const onBench = BENCH.map(({ product, recipe, aside }) => ({
    kind: product === undefined ? 'recipe' : 'product',
    id: product === undefined ? recipeOf.get(recipe) : idOf.get(product),
    aside,
  }));
  await app.get(BenchService).lay(checked(BenchInput, { places: onBench }));
  for (const { plot, from, applications, ...programme } of PROGRAMMES)
    await app.get(ProgrammeStore).create(
      checked(ProgrammeInput, {
        ...programme,
        seasonId: seasonOf.get(`${plot} ${from}`),
        applications: applications.map(({ product, recipe, ...doing }) => ({
          ...doing,
          ...(product === undefined ? {} : { productId: idOf.get(product) }),
          ...(recipe === undefined ? {} : { recipeId: recipeOf.get(recipe) }),
        })),
      }),
    );
  const onGround = (plot: string, from: string) => ({
    plotId: plotOf.get(plot),
    seasonId: seasonOf.get(`${plot} ${from}`),
  });
  const entryOf = new Map<string, string>();
  for (const { plot, from, items, corrects, ...entry } of ENTRIES) {
    const made = await app.get(EntryStore).create(
      checked(EntryInput, {
        ...entry,
        ...onGround(plot, from),
        items: items.map(({ product, ...item }) => ({ ...item, productId: idOf.get(product) })),
        ...(corrects === undefined ? {} : { corrects: entryOf.get(corrects) }),
      }),
    );
    entryOf.set(entry.what, made.id);
  }
  await loadMeasured(app, onGround);
  await loadTrials(app, plotOf);
  await loadList(app);
}

/** A list of sellers, by the door that lists come through. */
async function loadList(app: INestApplicationContext): Promise<void> {
  const { name, seller } = CATALOGUE_LIST;
  const { importId, problems } = await app.get(CatalogueImports).read({
    body: Readable.from([Buffer.from(catalogueListCsv())]),
    list: name,
    currency: undefined,
    decimal: 'point',
    signal: new AbortController().signal,
  });
  if (problems.length > 0) throw new Error(`The sample's list does not fit: ${problems[0]?.message}`);
  await app.get(CatalogueRevisions).take(importId, name, seller);
  await app.get(KeptSearchStore).create(checked(KeptSearchInput, KEPT_SEARCH));
}

/** Trials with their sheets. */
async function loadTrials(app: INestApplicationContext, plotOf: ReadonlyMap<string, string>): Promise<void> {
  for (const { plot, sheets, ...trial } of TRIALS) {
    const made = await app.get(TrialStore).create(checked(TrialInput, { ...trial, plotId: plotOf.get(plot) }));
    for (const sheet of sheets)
      await app.get(TrialSheetStore).create(checked(TrialSheetInput, { ...sheet, trialId: made.id }));
  }
}

/** What was harvested and measured. */
async function loadMeasured(
  app: INestApplicationContext,
  onGround: (plot: string, from: string) => object,
): Promise<void> {
  for (const { plot, from, ...harvest } of HARVESTS)
    await app.get(HarvestStore).create(checked(HarvestInput, { ...harvest, ...onGround(plot, from) }));
  for (const { plot, from, ...test } of LEAF_TESTS)
    await app.get(LeafTestStore).create(checked(LeafTestInput, { ...test, ...onGround(plot, from) }));
  for (const { plot, from, ...read } of POUR_READINGS)
    await app.get(PourStore).create(checked(PourInput, { ...read, ...onGround(plot, from) }));
}
