export * from './product.js';
export * from './crop.js';
export * from './ownFigure.js';
export * from './plot.js';
export * from './season.js';
export * from './programme.js';
export * from './seasonToCore.js';
export * from './soil.js';
export * from './study.js';
export * from './trial.js';
export * from './catalogue.js';
export * from './catalogueSearch.js';
export * from './attachment.js';
export * from './entry.js';
export * from './heap.js';
export * from './jarTest.js';
export * from './logger.js';
export * from './station.js';
export * from './recipe.js';
export * from './shelfFilter.js';
export * from './claim.js';
export * from './measured.js';
export * from './movement.js';
export * from './kinds.js';
export * from './kindInputs.js';
export * from './ledger.js';
export * from './ledgerInputs.js';
export * from './operation.js';
export * from './batch.js';
export * from './records.js';
export { Day, NumberBetween, Text } from './decorators.js';
export * from './exchange.js';
export * from './validate.js';
export * from './ofToday.js';
export * from './toCore.js';
export * from './claimToCore.js';
export * from './productProblems.js';
export * from './seasonProblems.js';
export * from './soilProblems.js';
export * from './trialProblems.js';
export * from './typed/reader.js';
export * from './typed/rangeText.js';
export * from './typed/productFields.js';
export * from './typed/productText.js';
export * from './typed/incubationText.js';
export * from './typed/ownFigureText.js';
export {
  columnFor,
  CSV_FIELDS,
  CsvColumns,
  headingOf,
  rowColumns,
  type CsvColumn,
  type CsvField,
} from './typed/csvColumns.js';
export { csvRow, readCsvRow } from './typed/csvRow.js';
export { headingRow } from './typed/sheetCells.js';
