export type Language = 'en' | 'de' | 'fr' | 'es' | 'it' | 'nl' | 'pt' | 'pl' | 'sv';
/** Words of each language, phrases parted by `|`; small letters without accents, as `plainWord` makes them. */
export type Words = Readonly<Partial<Record<Language, string>>>;
