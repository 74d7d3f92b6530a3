import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsISO8601,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { applyDecorators } from './applyDecorators.js';

/** Finite number between bounds; the message says what was expected. */
export const NumberBetween = (least: number, most: number, what: string): PropertyDecorator =>
  applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: `Expected ${what} as a number.` }),
    Min(least, { message: `Read $value, expected ${what} of at least ${least}.` }),
    Max(most, { message: `Read $value, expected ${what} of at most ${most}.` }),
  );

/** Anything but control characters (tabs and line ends apart) and halves of a character, which no database keeps. */
const PLAIN_TEXT = /^(?:[\t\n\r]|[^\p{Cc}\p{Cs}])*$/u;

const text = (least: number, most: number, what: string, each: boolean): PropertyDecorator =>
  applyDecorators(
    IsString({ each, message: `Expected ${what} as text.` }),
    Length(least, most, {
      each,
      message:
        least > 0
          ? `Expected ${what}, ${least} to ${most} characters.`
          : `Expected ${what} of at most ${most} characters.`,
    }),
    Matches(PLAIN_TEXT, { each, message: `Read control characters in ${what}, expected plain text.` }),
  );

/** Text between lengths with no control characters. */
export const Text = (least: number, most: number, what: string): PropertyDecorator => text(least, most, what, false);

/** A list whose every entry is such a text. */
export const EachText = (least: number, most: number, what: string): PropertyDecorator => text(least, most, what, true);

const oneOf = (values: readonly string[], what: string, each: boolean): PropertyDecorator =>
  IsIn(values, {
    each,
    message: `Read "$value", expected ${what}: ${values.slice(0, 12).join(', ')}${values.length > 12 ? ' …' : ''}.`,
  });

/** One of a closed list. */
export const OneOf = (values: readonly string[], what: string): PropertyDecorator => oneOf(values, what, false);

/** A list whose every entry is one of a closed list. */
export const EachOneOf = (values: readonly string[], what: string): PropertyDecorator => oneOf(values, what, true);

/** The field may be missing or null; null is read as missing. */
export const Maybe = (): PropertyDecorator => IsOptional();

/** The field is checked only when another field of the object says so. */
export const When = <T extends object>(condition: (object: T) => boolean): PropertyDecorator =>
  ValidateIf((object: object) => condition(object as T));

const onCalendar = (shape: RegExp, message: string): PropertyDecorator =>
  applyDecorators(IsISO8601({ strict: true }, { message }), Matches(shape, { message }));

/** A calendar day without a time. */
export const Day = (): PropertyDecorator =>
  onCalendar(/^\d{4}-\d{2}-\d{2}$/, 'Read "$value", expected a date such as 2026-03-14.');

/** A moment of universal time. */
export const Moment = (): PropertyDecorator =>
  onCalendar(
    /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d{1,3})?Z$/,
    'Read "$value", expected a moment such as 2026-03-01T08:00:00Z.',
  );

/** An object with rules of its own. Nested rules alone let a missing object, a null and a list pass. */
export const Part = (type: () => new () => object, what: string): PropertyDecorator =>
  applyDecorators(IsObject({ message: `Expected ${what}.` }), ValidateNested(), Type(type));

/** A list of such objects. */
export const Parts = (type: () => new () => object, most: number, what: string): PropertyDecorator =>
  applyDecorators(
    IsArray({ message: `Expected ${what} as a list.` }),
    ArrayMaxSize(most, { message: `Expected at most ${most} ${what}.` }),
    IsObject({ each: true, message: `Expected ${what}.` }),
    ValidateNested({ each: true }),
    Type(type),
  );
