/** A name at the start of a sentence or cell. @example capital('urea') // 'Urea' */
export const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);
