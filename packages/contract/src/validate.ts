import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';

/** One thing wrong with an input, and where. */
export interface FieldProblem {
  /** Dotted path such as `analysis.2.value`. */
  readonly path: string;
  readonly message: string;
}

/** An error body after RFC 9457, `application/problem+json`. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldProblem[];
  /** On a conflict: the record as it stands now. */
  readonly current?: unknown;
}

export const VALIDATION_OPTIONS = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
} as const;

/** class-validator's tree of errors as a flat list of paths with sentences. */
export function fieldProblems(errors: readonly ValidationError[], prefix = ''): FieldProblem[] {
  return errors.flatMap((error) => {
    const path = prefix ? `${prefix}.${error.property}` : error.property;
    const said = Object.entries(error.constraints ?? {}).map(([rule, message]) =>
      rule === 'whitelistValidation' ? `"${error.property}" is not a field here.` : sentence(message),
    );
    // Rules that expect the same say it once.
    const own = [...new Set(said)].map((message) => ({ path, message }));
    return [...own, ...fieldProblems(error.children ?? [], path)];
  });
}

/** Where nothing was given there is nothing to say it was read. */
const sentence = (message: string): string => message.replace(/^Read "?(?:\$value|undefined|null)"?, e/, 'E');

export type Validated<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Checks a plain object against a contract class, as the server does. */
export function validateInput<T extends object>(Input: new () => T, plain: object): Validated<T> {
  const value = plainToInstance(Input, plain);
  const problems = fieldProblems(validateSync(value, VALIDATION_OPTIONS));
  return problems.length === 0 ? { ok: true, value } : { ok: false, problems };
}
