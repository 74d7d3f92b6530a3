/** A name as it begins a line. @example capital('wood ash') // 'Wood ash' */
export const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);
