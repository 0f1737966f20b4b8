/** Several property decorators as one. */
export function applyDecorators(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, property) => {
    for (const decorate of decorators) decorate(target, property);
  };
}
