import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { instanceToPlain } from 'class-transformer';
import { toProduct, type AnalysisFigureInput, type DeclaredValueInput, type FieldProblem, type LabelRateInput, type LongevityInput, type OfferInput, type ProductInput } from '@wheat-ledger/contract';
import { basesOf, labelChecks } from '@wheat-ledger/core';
import { RecordStore } from '../common/recordStore.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { AnalysisLine, OfferLine, ProductEntity } from './product.entity.js';

/** Fields that may be missing and are kept as they are. */
const PLAIN_FIELDS = ['labelText', 'origins', 'carbonToNitrogen', 'saltIndex', 'limingPer100Kg', 'storage'] as const;
const OBJECT_FIELDS = ['labelRate', 'longevity', 'organic', 'stock'] as const;

@Injectable()
export class ProductStore extends RecordStore<ProductEntity, ProductInput> {
  readonly kind = 'product';
  protected readonly entity = ProductEntity;
  protected override readonly populate = ['analysis', 'offers'];

  constructor(em: EntityManager, scope: WorkspaceScope) {
    super(em, scope);
  }

  protected blank(): ProductEntity {
    return new ProductEntity();
  }

  /** Label contradictions only warn; impossible values and bases that are not the element's own are refused here too. */
  protected override async problems(input: ProductInput): Promise<readonly FieldProblem[]> {
    const bases = input.analysis.flatMap((line, i): FieldProblem[] =>
      basesOf(line.analyte).includes(line.basis) ? [] : [{ path: `analysis.${i}.basis`, message: `Read ${line.basis} for ${line.analyte}, expected ${basesOf(line.analyte).join(' or ')}.` }],
    );
    const impossible = labelChecks(toProduct(input)).filter((f) => f.severity === 'impossible');
    return [...bases, ...impossible.map(({ path, message }) => ({ path, message }))];
  }

  protected fill(product: ProductEntity, input: ProductInput, em: EntityManager): void {
    const { name, seller, form, derivedFrom, note } = input;
    Object.assign(product, {
      name, seller, form, derivedFrom, note,
      densityKgPerL: input.densityKgPerL ?? null,
      grade: input.grade || null,
      labelRate: input.labelRate ? (instanceToPlain(input.labelRate) as LabelRateInput) : null,
      longevity: input.longevity ? (instanceToPlain(input.longevity) as LongevityInput) : null,
      organic: input.organic ? instanceToPlain(input.organic) : null,
      stock: input.stock ? instanceToPlain(input.stock) : null,
      ...Object.fromEntries(PLAIN_FIELDS.map((field) => [field, input[field] ?? null])),
    });
    product.analysis.set(input.analysis.map((line, position) => em.create(AnalysisLine, { product, position, ...analysisColumns(line) })));
    product.offers.set(input.offers.map((offer, position) => em.create(OfferLine, { product, position, ...offerColumns(offer) })));
  }

  protected toInput(product: ProductEntity): ProductInput {
    const { name, seller, form, derivedFrom, note } = product;
    return {
      name, seller, form,
      analysis: product.analysis.getItems().map(toAnalysis),
      derivedFrom,
      offers: product.offers.getItems().map(toOffer),
      note,
      ...Object.fromEntries([...OBJECT_FIELDS, ...PLAIN_FIELDS, 'densityKgPerL' as const, 'grade' as const].flatMap((field) => (product[field] === null ? [] : [[field, product[field]]]))),
    };
  }
}

const analysisColumns = ({ analyte, basis, value: v, unit, provenance, source }: AnalysisFigureInput) => ({
  analyte, basis, unit, provenance, source,
  kind: v.kind,
  value: v.kind === 'number' ? (v.value ?? null) : v.kind === 'range' ? (v.mid ?? null) : null,
  low: v.kind === 'range' ? (v.low ?? null) : null,
  high: v.kind === 'range' ? (v.high ?? null) : v.kind === 'below' ? (v.limit ?? null) : null,
});

function toValue({ kind, value, low, high }: AnalysisLine): DeclaredValueInput {
  switch (kind) {
    case 'number': return { kind, value: value ?? 0 };
    case 'range': return { kind, low: low ?? 0, mid: value ?? 0, high: high ?? 0 };
    case 'below': return { kind, limit: high ?? 0 };
  }
}

const toAnalysis = (line: AnalysisLine): AnalysisFigureInput => {
  const { analyte, basis, unit, provenance, source } = line;
  return { analyte, basis, value: toValue(line), unit, provenance, source };
};

const offerColumns = ({ size, unit, price, seenOn, seller }: OfferInput) => ({
  size, unit, price: price?.amount ?? null, currency: price?.currency ?? null, seenOn: seenOn ?? null, seller: seller || null,
});

const toOffer = ({ size, unit, price, currency, seenOn, seller }: OfferLine): OfferInput => ({
  size, unit,
  ...(price !== null && currency !== null ? { price: { amount: plainAmount(price), currency } } : {}),
  ...(seenOn === null ? {} : { seenOn }),
  ...(seller === null ? {} : { seller }),
});

/** The database keeps four decimals; show the two that money has unless more were given. */
const plainAmount = (amount: string): string => amount.replace(/(\.\d\d)(\d*?)0*$/, '$1$2');
