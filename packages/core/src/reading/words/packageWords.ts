import type { Words } from './languages.js';

/** What a word on a paper tells, apart from names of nutrients. */
export type WordRole =
  /** What follows or stands before is what the package holds. */
  | 'net'
  /** The package with its wrapping: not what it holds. */
  | 'gross'
  /** A kind of package. */
  | 'pack'
  /** What follows is how much to use, not how much there is. */
  | 'use'
  /** For so much of something: a rate. */
  | 'per'
  /** The ground or the plants a package lasts for. */
  | 'covers'
  /** A number that only names something: a batch, a licence, a telephone. */
  | 'reference';

/** Words by what they tell, phrases parted by `|`; small letters without accents, as `plainWord` makes them. */
export const PACKAGE_WORDS: Readonly<Record<WordRole, Words>> = {
  net: {
    en: 'net|net weight|net wt|net mass|net contents|net content|net volume|net quantity|contents|content|weight|volume|fill weight|pack size|size',
    de: 'volumen|netto|nettogewicht|nettomasse|nettofullmenge|fullmenge|inhalt|fullgewicht|gewicht|nettoinhalt|nennfullmenge',
    fr: 'net|poids net|masse nette|contenu|contenance|volume net|quantite nette|poids',
    es: 'volumen|neto|peso neto|masa neta|contenido|contenido neto|volumen neto|cantidad neta|peso',
    it: 'netto|netti|peso netto|massa netta|contenuto|contenuto netto|volume netto|peso',
    nl: 'netto|nettogewicht|netto gewicht|inhoud|netto inhoud|gewicht|nettomassa',
    pt: 'liquido|peso liquido|massa liquida|conteudo|conteudo liquido|volume liquido|peso',
    pl: 'netto|masa netto|waga netto|zawartosc|zawartosc netto|pojemnosc|objetosc netto|masa|waga',
    sv: 'volym|netto|nettovikt|nettovaegt|nettovagt|innehall|indhold|innhold|nettoinnhold|nettoindhold|nettoinnehall|vikt|vaegt',
  },
  gross: {
    en: 'gross|gross weight|gross wt|tare|shipping weight',
    de: 'brutto|bruttogewicht|tara',
    fr: 'brut|poids brut',
    es: 'bruto|peso bruto',
    it: 'lordo|peso lordo',
    nl: 'bruto|brutogewicht',
    pt: 'peso bruto',
    pl: 'brutto|masa brutto|waga brutto',
    sv: 'brutto|bruttovikt|bruttovaegt',
  },
  pack: {
    en: 'bag|bags|sack|sacks|box|boxes|tub|tubs|pail|pails|bucket|buckets|jug|jugs|jar|bottle|bottles|can|cans|bale|bales|packet|packets|pack|packs|drum|drums|tote|carton|canister|container|pouch|big bag|bulk bag|ibc',
    de: 'sack|sacke|beutel|eimer|kanister|flasche|flaschen|dose|karton|packung|packungen|gebinde|fass|kiste|tute|bigbag|big bag',
    fr: 'sac|sacs|seau|bidon|bidons|bouteille|boite|carton|paquet|fut|sachet|flacon',
    es: 'saco|sacos|bolsa|bolsas|cubo|garrafa|botella|caja|bote|bidon|envase',
    it: 'sacco|sacchi|sacchetto|secchio|tanica|bottiglia|scatola|flacone|confezione|fusto',
    nl: 'zak|zakken|emmer|jerrycan|fles|doos|verpakking|bus|can',
    pt: 'saco|sacos|balde|garrafa|frasco|caixa|bidao|embalagem',
    pl: 'worek|worki|workow|wiadro|butelka|kanister|opakowanie|puszka|karton',
    sv: 'sack|sackar|sekk|sekke|hink|spand|dunk|flaska|flaske|pase|pose|kartong',
  },
  use: {
    en: 'apply|use|dose|dosage|rate|add|dilute|dilution|mix|spread|sprinkle|spray|water in|feed|application rate|directions|every',
    de: 'aufwand|anwenden|dosierung|aufwandmenge|ausbringen|streuen|verdunnen|verwenden|gebrauch|anwendung|je',
    fr: 'appliquer|dose|dosage|dilution|epandre|diluer|utiliser|melanger|apport|mode d emploi',
    es: 'aplicar|dosis|diluir|usar|esparcir|mezclar|abonar',
    it: 'applicare|dose|dosi|diluire|usare|distribuire|miscelare|dosaggio',
    nl: 'dosering|gebruik|strooien|verdunnen|toepassen|meng',
    pt: 'aplicar|dose|diluir|usar|espalhar|misturar',
    pl: 'dawka|dawkowanie|stosowac|rozcienczyc|rozsypac|uzyc',
    sv: 'dosering|giva|dos|anvand|sprid|spad|brug|spred|bland',
  },
  per: {
    en: 'per|each|in|for|to|of',
    de: 'pro|je|auf|fur|in',
    fr: 'par|pour|dans',
    es: 'por|para|en',
    it: 'per|in',
    nl: 'per|voor|op',
    pt: 'por|para|em',
    pl: 'na|do',
    sv: 'per|pr|for|till|til',
  },
  covers: {
    en: 'covers|coverage|treats|enough for|feeds up to|lasts|makes|yields',
    de: 'reicht|ausreichend fur|ergibt',
    fr: 'couvre|suffit|pour environ',
    es: 'cubre|suficiente para|rinde',
    it: 'copre|sufficiente per',
    nl: 'voldoende voor|genoeg voor|goed voor',
    pt: 'cobre|suficiente para',
    pl: 'wystarcza|starcza',
    sv: 'racker|raekker',
  },
  reference: {
    en: 'batch|lot|licence|license|reg no|registration|tel|phone|fax|code|item|sku|no|order|invoice|vat',
    de: 'charge|chargen|losnummer|artikel|art nr|tel|nr',
    fr: 'lot|tel|ref|reference|code|agrement',
    es: 'lote|tel|ref|registro',
    it: 'lotto|tel|rif|codice',
    nl: 'partij|partijnummer|lotnr|lotnummer|tel|artikelnummer|art nr',
    pt: 'lote|tel|ref',
    pl: 'partia|tel|nr|numer',
    sv: 'parti|batch|tel|tlf|art nr',
  },
};

/** Units by the words of other languages, phrases parted by `|`. */
export const UNIT_WORDS: Readonly<Record<string, string>> = {
  kg: 'kilogramm|kilogramme|kilogrammes|chilogrammi|chilogrammo|chili|kilogramos|kilogramo|quilos|quilogramas|kilogramow|kilogram',
  g: 'gramm|gramme|grammes|grammi|gramos|gramas|gramow|gram',
  mL: 'milliliter|millilitri|mililitros|mililitrow',
  L: 'liter|litri|litro|litros|litrow|litr',
  'm³': 'kubikmeter|metre cube|metres cubes|metri cubi|metro cubo|metros cubicos|kuub',
};
