/** One decorator out of several, applied in order. */
export function applyDecorators(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };
}
