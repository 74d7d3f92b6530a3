import type { INestApplicationContext } from '@nestjs/common';
import { MikroORM, RequestContext } from '@mikro-orm/postgresql';
import {
  ClaimInput,
  HOME_LEDGER,
  JarTestInput,
  MovementInput,
  PlotInput,
  ProductInput,
  RecipeInput,
  SoilReportInput,
  validateInput,
} from '@wheat-ledger/contract';
import {
  CLAIMS,
  EARLIER_LABELS,
  JAR_TESTS,
  LOGS,
  MOVEMENTS,
  PLOTS,
  PRODUCTS,
  RECIPES,
  SOIL_REPORTS,
} from '@wheat-ledger/demo';
import { ClaimStore } from '../claims/claim.store.js';
import { JarTestStore } from '../ground/jarTest.store.js';
import { LoggerStore } from '../ground/logger.store.js';
import { PlotStore } from '../ground/plot.store.js';
import { SoilReportStore } from '../ground/soilReport.store.js';
import { RecipeStore } from '../mix/recipe.store.js';
import { MovementStore } from '../shelf/movement.store.js';
import { ProductStore } from '../shelf/product.store.js';
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
  for (const { product, ...claim } of CLAIMS)
    await claims.create(checked(ClaimInput, { ...claim, productId: idOf.get(product) }));
  for (const { parts, ...recipe } of RECIPES)
    await recipes.create(
      checked(RecipeInput, {
        ...recipe,
        parts: parts.map((p) => ({ productId: idOf.get(p.product), parts: p.parts })),
      }),
    );
}
