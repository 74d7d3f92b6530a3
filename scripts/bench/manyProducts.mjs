/** So many made-up products, the same every time. */
export function manyProducts(count) {
  let seed = 1;
  const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  return Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    name: `Product ${i}`,
    form: 'granule',
    densityKgPerL: 1,
    grade: undefined,
    derivedFrom: [],
    directions: [],
    longevity: undefined,
    analysis: [
      {
        analyte: 'N',
        basis: 'element',
        value: { kind: 'number', value: 1 + Math.round(random() * 400) / 10 },
        unit: '%',
        provenance: 'label',
        source: 'bench',
      },
    ],
    offers: [
      {
        size: 5 + Math.round(random() * 20),
        unit: 'kg',
        price: { amount: (5 + random() * 50).toFixed(2), currency: 'EUR' },
        seenOn: undefined,
      },
    ],
  }));
}
