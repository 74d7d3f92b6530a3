/**
 * How many times as strong as the feed the stock behind an injector is: 1:100 means one part of stock to 100 of water, here and everywhere.
 * @example stockStrength(100) // 101
 */
export const stockStrength = (injectorParts: number): number => injectorParts + 1;
