import type { Product } from './product.js';

/**
 * A function of a product and a word, worked out once for each as long as the product is the same object: a mix is solved many times over the same bags,
 * and each time asks the same of them.
 * @example const priceIn = perProduct((product, currency) => pricePerKg(product, currency)?.figure.value.mid)
 */
export function perProduct<Key extends string, T>(
  work: (product: Product, key: Key) => T,
): (product: Product, key: Key) => T {
  const known = new WeakMap<Product, Map<Key, T>>();
  return (product, key) => {
    const of = known.get(product) ?? new Map<Key, T>();
    known.set(product, of);
    const found = of.get(key);
    if (found !== undefined || of.has(key)) return found as T;
    const worked = work(product, key);
    of.set(key, worked);
    return worked;
  };
}
