/** Several property decorators as one, applied in the order given. */
export const applyDecorators =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, key) =>
    decorators.forEach((decorate) => decorate(target, key));
