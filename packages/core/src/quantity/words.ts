/** A name at the start of a sentence or cell. @example capital('urea') // 'Urea' */
export const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

/** Longest text of one typed quantity, rate or grade: reading more would only cost time. */
const MOST_TYPED = 200;

/** The sentence for a text that is too long to be one quantity, rate or grade; undefined for one that is not. */
export const tooLong = (input: string, what: string): string | undefined =>
  input.length > MOST_TYPED ? `Read ${input.length} characters, expected ${what}.` : undefined;
