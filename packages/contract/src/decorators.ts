import { applyDecorators } from './applyDecorators.js';
import { IsIn, IsNumber, IsOptional, IsString, Length, Matches, Max, Min, ValidateIf } from 'class-validator';

/** Finite number between bounds; the message says what was expected. */
export const NumberBetween = (least: number, most: number, what: string): PropertyDecorator =>
  applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: `Expected ${what} as a number.` }),
    Min(least, { message: `Read $value, expected ${what} of at least ${least}.` }),
    Max(most, { message: `Read $value, expected ${what} of at most ${most}.` }),
  );

/** Anything but control characters, tabs and line ends apart. */
const PLAIN_TEXT = /^[\t\n\r\P{Cc}]*$/u;

const text = (least: number, most: number, what: string, each: boolean): PropertyDecorator =>
  applyDecorators(
    IsString({ each, message: `Expected ${what} as text.` }),
    Length(least, most, { each, message: least > 0 ? `Expected ${what}, ${least} to ${most} characters.` : `Expected ${what} of at most ${most} characters.` }),
    Matches(PLAIN_TEXT, { each, message: `Read control characters in ${what}, expected plain text.` }),
  );

/** Text between lengths with no control characters. */
export const Text = (least: number, most: number, what: string): PropertyDecorator => text(least, most, what, false);

/** A list whose every entry is such a text. */
export const EachText = (least: number, most: number, what: string): PropertyDecorator => text(least, most, what, true);

const oneOf = (values: readonly string[], what: string, each: boolean): PropertyDecorator =>
  IsIn([...values], { each, message: `Read "$value", expected ${what}: ${values.slice(0, 12).join(', ')}${values.length > 12 ? ' …' : ''}.` });

/** One of a closed list. */
export const OneOf = (values: readonly string[], what: string): PropertyDecorator => oneOf(values, what, false);

/** A list whose every entry is one of a closed list. */
export const EachOneOf = (values: readonly string[], what: string): PropertyDecorator => oneOf(values, what, true);

/** The field may be missing or null; null is read as missing. */
export const Maybe = (): PropertyDecorator => IsOptional();

/** The field is checked only when another field of the object says so. */
export const When = <T extends object>(condition: (object: T) => boolean): PropertyDecorator =>
  ValidateIf((object: object) => condition(object as T));
