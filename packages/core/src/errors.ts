/** An error the person using the program can act on: a stable code, where it is, and what was read against what was expected. */
export class DomainError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string = '',
    readonly detail: Readonly<Record<string, string | number>> = {},
  ) {
    super(message);
    this.name = new.target.name;
  }
}

export class QuantityError extends DomainError {}
export class LabelError extends DomainError {}
export class MixError extends DomainError {}
