import type { Analyte, Basis } from '../nutrient/index.js';
import type { Language } from './dictionary.js';

/** What a name in another language stands for, and its words there, phrases parted by `|`, as `plainWord` makes them. */
export interface NameTerm {
  readonly means:
    { readonly analyte: Analyte; readonly basis: Basis } | { readonly other: 'protein' | 'moisture' | 'dryMatter' };
  readonly words: Readonly<Partial<Record<Language, string>>>;
}

const term = (analyte: Analyte, basis: Basis, words: NameTerm['words']): NameTerm => ({
  means: { analyte, basis },
  words,
});
const other = (what: 'protein' | 'moisture' | 'dryMatter', words: NameTerm['words']): NameTerm => ({
  means: { other: what },
  words,
});

/**
 * Names on papers that are not in English, the most particular first. Words that mean something else in English are not here: Polish has `sod` for
 * sodium.
 */
// prettier-ignore
export const FOREIGN_NAMES: readonly NameTerm[] = [
  other('protein', { de: 'rohprotein', fr: 'proteine brute|proteines brutes', es: 'proteina bruta', it: 'proteina grezza|proteine grezze', nl: 'ruw eiwit', pl: 'bialko surowe', sv: 'raprotein' }),
  other('moisture', { de: 'feuchtigkeit|feuchte|wassergehalt', fr: 'humidite', es: 'humedad', it: 'umidita', nl: 'vocht|vochtgehalte', pt: 'humidade|umidade', pl: 'wilgotnosc', sv: 'vattenhalt|fukthalt|vandindhold' }),
  other('dryMatter', { de: 'trockensubstanz|trockenmasse', fr: 'matiere seche', es: 'materia seca', it: 'sostanza secca', nl: 'droge stof', pl: 'sucha masa', sv: 'torrsubstans|torstof|torrstoff' }),

  term('N.nitrate', 'element', { de: 'nitratstickstoff|nitrat stickstoff|nitrat n', fr: 'azote nitrique', es: 'nitrogeno nitrico', it: 'azoto nitrico', nl: 'nitraatstikstof|nitraat stikstof', pt: 'nitrogenio nitrico', pl: 'azot azotanowy', sv: 'nitratkvave|nitratkvaelstof|nitratnitrogen' }),
  term('N.ammoniacal', 'element', { de: 'ammoniumstickstoff|ammonium stickstoff|ammoniakstickstoff', fr: 'azote ammoniacal', es: 'nitrogeno amoniacal', it: 'azoto ammoniacale', nl: 'ammoniumstikstof|ammoniakale stikstof|ammoniakstikstof', pt: 'azoto amoniacal|nitrogenio amoniacal', pl: 'azot amonowy', sv: 'ammoniumkvave|ammoniumkvaelstof' }),
  term('N.urea', 'element', { de: 'carbamidstickstoff|carbamid stickstoff|harnstoffstickstoff|harnstoff stickstoff', fr: 'azote ureique', es: 'nitrogeno ureico', it: 'azoto ureico', nl: 'ureumstikstof|ureum stikstof|carbamidestikstof|amidestikstof', pt: 'nitrogenio ureico', pl: 'azot amidowy|azot mocznikowy', sv: 'ureakvave|amidkvave|ureakvaelstof' }),
  term('N.waterInsoluble', 'element', { de: 'organischer stickstoff|organisch gebundener stickstoff', fr: 'azote organique', es: 'nitrogeno organico', it: 'azoto organico', nl: 'organische stikstof', pt: 'nitrogenio organico', pl: 'azot organiczny', sv: 'organiskt kvave|organisk kvaelstof' }),
  term('N', 'element', { de: 'stickstoff|gesamtstickstoff', fr: 'azote', es: 'nitrogeno', it: 'azoto', nl: 'stikstof|totaal stikstof', pt: 'nitrogenio', pl: 'azot', sv: 'kvave|kvaelstof|totalkvave' }),

  term('P', 'P2O5', { de: 'phosphorpentoxid|phosphat|gesamtphosphat', fr: 'anhydride phosphorique', es: 'pentoxido de fosforo|anhidrido fosforico', it: 'anidride fosforica', nl: 'fosforzuuranhydride|fosfaat', pt: 'anidrido fosforico', pl: 'pieciotlenek fosforu', sv: 'fosforpentoxid' }),
  term('P', 'element', { de: 'phosphor', fr: 'phosphore', es: 'fosforo', nl: 'fosfor' }),
  term('K', 'K2O', { de: 'kaliumoxid|kali', fr: 'oxyde de potassium|potasse', es: 'oxido de potasio|potasa', it: 'ossido di potassio', nl: 'kaliumoxide', pt: 'oxido de potassio|potassa', pl: 'tlenek potasu' }),
  term('K', 'element', { de: 'kalium', es: 'potasio', it: 'potassio', pl: 'potas' }),

  term('Ca', 'CaO', { de: 'calciumoxid|kalziumoxid', fr: 'oxyde de calcium', es: 'oxido de calcio', it: 'ossido di calcio', nl: 'calciumoxide', pl: 'tlenek wapnia', sv: 'kalciumoxid' }),
  term('Ca', 'element', { de: 'kalzium', es: 'calcio', pl: 'wapn', sv: 'kalcium' }),
  term('Mg', 'MgO', { de: 'magnesiumoxid', fr: 'oxyde de magnesium', es: 'oxido de magnesio', it: 'ossido di magnesio', nl: 'magnesiumoxide', pl: 'tlenek magnezu' }),
  term('Mg', 'element', { es: 'magnesio', pl: 'magnez' }),
  term('S', 'SO3', { de: 'schwefeltrioxid', fr: 'anhydride sulfurique|trioxyde de soufre', es: 'trioxido de azufre|anhidrido sulfurico', it: 'anidride solforica|triossido di zolfo', nl: 'zwaveltrioxide', pt: 'trioxido de enxofre|anidrido sulfurico', pl: 'trojtlenek siarki|tritlenek siarki', sv: 'svaveltrioxid|svovltrioxid' }),
  term('S', 'element', { de: 'schwefel', fr: 'soufre', es: 'azufre', it: 'zolfo', nl: 'zwavel', pt: 'enxofre', pl: 'siarka', sv: 'svavel|svovl' }),
  term('Na', 'Na2O', { de: 'natriumoxid', fr: 'oxyde de sodium', es: 'oxido de sodio', it: 'ossido di sodio', nl: 'natriumoxide', pl: 'tlenek sodu' }),
  term('Na', 'element', { de: 'natrium', es: 'sodio' }),
  term('Cl', 'element', { de: 'chlorid|chlor', fr: 'chlorure|chlore', es: 'cloruro|cloro', nl: 'chloor', pt: 'cloreto', pl: 'chlorek', sv: 'klorid|klor' }),
  term('Si', 'element', { de: 'silicium', es: 'silicio', pl: 'krzem', sv: 'kisel' }),

  term('Fe', 'element', { de: 'eisen', fr: 'fer', es: 'hierro', it: 'ferro', nl: 'ijzer', pl: 'zelazo', sv: 'jarn|jern' }),
  term('Mn', 'element', { de: 'mangan', es: 'manganeso', nl: 'mangaan', pt: 'manganes' }),
  term('Zn', 'element', { de: 'zink', es: 'cinc', it: 'zinco', pl: 'cynk' }),
  term('Cu', 'element', { de: 'kupfer', fr: 'cuivre', es: 'cobre', it: 'rame', nl: 'koper', pl: 'miedz', sv: 'koppar|kobber' }),
  term('B', 'element', { de: 'bor', fr: 'bore', es: 'boro', nl: 'boor|borium' }),
  term('Mo', 'element', { de: 'molybdan', fr: 'molybdene', es: 'molibdeno', nl: 'molybdeen', pt: 'molibdenio', pl: 'molibden', sv: 'molybden' }),
  term('Co', 'element', { de: 'kobalt', es: 'cobalto', sv: 'kobolt' }),
  term('As', 'element', { de: 'arsen', es: 'arsenico', nl: 'arseen', pt: 'arsenio', sv: 'arsenik' }),
  term('Cd', 'element', { de: 'kadmium', es: 'cadmio', pl: 'kadm' }),
  term('Pb', 'element', { de: 'blei', fr: 'plomb', es: 'plomo', it: 'piombo', nl: 'lood', pt: 'chumbo', pl: 'olow', sv: 'bly' }),
  term('Hg', 'element', { de: 'quecksilber', fr: 'mercure', es: 'mercurio', nl: 'kwik', pl: 'rtec', sv: 'kvicksilver|kviksolv' }),
  term('Ni', 'element', { es: 'niquel', it: 'nichel', nl: 'nikkel', pl: 'nikiel' }),
  term('Cr', 'element', { de: 'chrom', fr: 'chrome', es: 'cromo', nl: 'chroom', sv: 'krom' }),
];
