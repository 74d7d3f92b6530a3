import { ArrayMaxSize, IsArray, IsOptional, IsUUID, registerDecorator } from 'class-validator';
import { LOGGED, LOGGED_LIMITS, MOST_LOGGED_DAYS, type Logged } from '@wheat-ledger/core';
import { applyDecorators } from './applyDecorators.js';
import { Day, Part, Text } from './decorators.js';

/** Daily values between the limits of a quantity; null where nothing was measured. */
const days = (what: Logged): PropertyDecorator => {
  const [least, most] = LOGGED_LIMITS[what];
  const fits = (v: unknown): boolean => v === null || (typeof v === 'number' && v >= least && v <= most);
  const eachFits: PropertyDecorator = (target, propertyName) =>
    registerDecorator({
      name: 'dailyValues',
      target: target.constructor,
      propertyName: String(propertyName),
      validator: {
        validate: (list: unknown) => Array.isArray(list) && list.every(fits),
        defaultMessage: () =>
          `Expected ${what} as daily numbers from ${least} to ${most}, null where nothing was measured.`,
      },
    });
  return applyDecorators(
    IsOptional(),
    IsArray(),
    ArrayMaxSize(MOST_LOGGED_DAYS, { message: `Expected at most ${MOST_LOGGED_DAYS} days.` }),
    eachFits,
  );
};

export class LoggedSeriesInput implements Partial<Record<Logged, (number | null)[]>> {
  @days('soilC') soilC?: (number | null)[];
  @days('airC') airC?: (number | null)[];
  @days('rainMm') rainMm?: (number | null)[];
  @days('irrigationMm') irrigationMm?: (number | null)[];
  @days('etMm') etMm?: (number | null)[];
}

/** What a logger or weather station measured on a plot, day by day. */
export class LoggerInput {
  @IsUUID('all', { message: 'Expected a plot of this workspace.' })
  plotId!: string;

  @Text(1, 120, 'a name, such as the logger and its place')
  name!: string;

  @Day()
  from!: string;

  @Part(() => LoggedSeriesInput, 'the series of a log')
  series!: LoggedSeriesInput;
}

/** The quantities a log holds, in their order. */
export const quantitiesOf = (series: LoggedSeriesInput): readonly Logged[] => LOGGED.filter((what) => series[what]);
