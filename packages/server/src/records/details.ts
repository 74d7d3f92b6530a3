import { instanceToPlain } from 'class-transformer';

/** Fields that are kept as they came, in one column; what is null says no more than what is missing. */
export const detailsOf = (fields: object): object =>
  Object.fromEntries(
    Object.entries(instanceToPlain(fields, { exposeUnsetFields: false })).filter(([, value]) => value !== null),
  );
