import type { Analyte, Basis } from '../nutrient/index.js';

/** Languages the practice laboratory writes in. */
export const PAPER_LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'pl', 'sv'] as const;
export type PaperLanguage = (typeof PAPER_LANGUAGES)[number];
export const PAPER_LANGUAGE_NAMES: Readonly<Record<PaperLanguage, string>> = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
  it: 'Italian',
  nl: 'Dutch',
  pt: 'Portuguese',
  pl: 'Polish',
  sv: 'Swedish',
};

type InAll = Readonly<Record<PaperLanguage, string>>;
const all = (text: string): InAll => {
  const words = text.split('|').map((w) => w.trim());
  return Object.fromEntries(PAPER_LANGUAGES.map((language, i) => [language, words[i] ?? words[0]])) as InAll;
};

/** Names of analytes in the languages above, in their order, as `analyte basis`. */
// prettier-ignore
const NAMES: Readonly<Record<string, InAll>> = {
  'N element': all('Total nitrogen (N)|Gesamtstickstoff (N)|Azote (N) total|Nitrógeno (N) total|Azoto (N) totale|Stikstof (N) totaal|Azoto (N) total|Azot (N) całkowity|Kväve (N) totalt'),
  'N.nitrate element': all('Nitrate nitrogen|Nitratstickstoff|Azote nitrique|Nitrógeno nítrico|Azoto nitrico|Nitraatstikstof|Azoto nítrico|Azot azotanowy|Nitratkväve'),
  'N.ammoniacal element': all('Ammoniacal nitrogen|Ammoniumstickstoff|Azote ammoniacal|Nitrógeno amoniacal|Azoto ammoniacale|Ammoniumstikstof|Azoto amoniacal|Azot amonowy|Ammoniumkväve'),
  'N.urea element': all('Urea nitrogen|Carbamidstickstoff|Azote uréique|Nitrógeno ureico|Azoto ureico|Ureumstikstof|Azoto ureico|Azot amidowy|Ureakväve'),
  'N.waterInsoluble element': all('Organic nitrogen|Organisch gebundener Stickstoff|Azote organique|Nitrógeno orgánico|Azoto organico|Organische stikstof|Azoto orgânico|Azot organiczny|Organiskt kväve'),
  'P P2O5': all('Phosphorus pentoxide (P2O5)|Phosphat (P2O5)|Anhydride phosphorique (P2O5)|Pentóxido de fósforo (P2O5)|Anidride fosforica (P2O5)|Fosforzuuranhydride (P2O5)|Pentóxido de fósforo (P2O5)|Pięciotlenek fosforu (P2O5)|Fosforpentoxid (P2O5)'),
  'P element': all('Phosphorus (P)|Phosphor (P)|Phosphore (P)|Fósforo (P)|Fosforo (P)|Fosfor (P)|Fósforo (P)|Fosfor (P)|Fosfor (P)'),
  'K K2O': all('Potassium oxide (K2O)|Kaliumoxid (K2O)|Oxyde de potassium (K2O)|Óxido de potasio (K2O)|Ossido di potassio (K2O)|Kaliumoxide (K2O)|Óxido de potássio (K2O)|Tlenek potasu (K2O)|Kaliumoxid (K2O)'),
  'K element': all('Potassium (K)|Kalium (K)|Potassium (K)|Potasio (K)|Potassio (K)|Kalium (K)|Potássio (K)|Potas (K)|Kalium (K)'),
  'Ca CaO': all('Calcium oxide (CaO)|Calciumoxid (CaO)|Oxyde de calcium (CaO)|Óxido de calcio (CaO)|Ossido di calcio (CaO)|Calciumoxide (CaO)|Óxido de cálcio (CaO)|Tlenek wapnia (CaO)|Kalciumoxid (CaO)'),
  'Ca element': all('Calcium (Ca)|Calcium (Ca)|Calcium (Ca)|Calcio (Ca)|Calcio (Ca)|Calcium (Ca)|Cálcio (Ca)|Wapń (Ca)|Kalcium (Ca)'),
  'Mg MgO': all('Magnesium oxide (MgO)|Magnesiumoxid (MgO)|Oxyde de magnésium (MgO)|Óxido de magnesio (MgO)|Ossido di magnesio (MgO)|Magnesiumoxide (MgO)|Óxido de magnésio (MgO)|Tlenek magnezu (MgO)|Magnesiumoxid (MgO)'),
  'Mg element': all('Magnesium (Mg)|Magnesium (Mg)|Magnésium (Mg)|Magnesio (Mg)|Magnesio (Mg)|Magnesium (Mg)|Magnésio (Mg)|Magnez (Mg)|Magnesium (Mg)'),
  'S SO3': all('Sulphur trioxide (SO3)|Schwefeltrioxid (SO3)|Trioxyde de soufre (SO3)|Trióxido de azufre (SO3)|Anidride solforica (SO3)|Zwaveltrioxide (SO3)|Trióxido de enxofre (SO3)|Trójtlenek siarki (SO3)|Svaveltrioxid (SO3)'),
  'S element': all('Sulphur (S)|Schwefel (S)|Soufre (S)|Azufre (S)|Zolfo (S)|Zwavel (S)|Enxofre (S)|Siarka (S)|Svavel (S)'),
  'Na element': all('Sodium (Na)|Natrium (Na)|Sodium (Na)|Sodio (Na)|Sodio (Na)|Natrium (Na)|Sódio (Na)|Sód (Na)|Natrium (Na)'),
  'Cl element': all('Chloride (Cl)|Chlorid (Cl)|Chlorure (Cl)|Cloruro (Cl)|Cloruro (Cl)|Chloride (Cl)|Cloreto (Cl)|Chlorek (Cl)|Klorid (Cl)'),
  'Fe element': all('Iron (Fe)|Eisen (Fe)|Fer (Fe)|Hierro (Fe)|Ferro (Fe)|IJzer (Fe)|Ferro (Fe)|Żelazo (Fe)|Järn (Fe)'),
  'Mn element': all('Manganese (Mn)|Mangan (Mn)|Manganèse (Mn)|Manganeso (Mn)|Manganese (Mn)|Mangaan (Mn)|Manganês (Mn)|Mangan (Mn)|Mangan (Mn)'),
  'Zn element': all('Zinc (Zn)|Zink (Zn)|Zinc (Zn)|Zinc (Zn)|Zinco (Zn)|Zink (Zn)|Zinco (Zn)|Cynk (Zn)|Zink (Zn)'),
  'Cu element': all('Copper (Cu)|Kupfer (Cu)|Cuivre (Cu)|Cobre (Cu)|Rame (Cu)|Koper (Cu)|Cobre (Cu)|Miedź (Cu)|Koppar (Cu)'),
  'B element': all('Boron (B)|Bor (B)|Bore (B)|Boro (B)|Boro (B)|Borium (B)|Boro (B)|Bor (B)|Bor (B)'),
  'Mo element': all('Molybdenum (Mo)|Molybdän (Mo)|Molybdène (Mo)|Molibdeno (Mo)|Molibdeno (Mo)|Molybdeen (Mo)|Molibdénio (Mo)|Molibden (Mo)|Molybden (Mo)'),
  'Cd element': all('Cadmium (Cd)|Cadmium (Cd)|Cadmium (Cd)|Cadmio (Cd)|Cadmio (Cd)|Cadmium (Cd)|Cádmio (Cd)|Kadm (Cd)|Kadmium (Cd)'),
  'Pb element': all('Lead (Pb)|Blei (Pb)|Plomb (Pb)|Plomo (Pb)|Piombo (Pb)|Lood (Pb)|Chumbo (Pb)|Ołów (Pb)|Bly (Pb)'),
  'Hg element': all('Mercury (Hg)|Quecksilber (Hg)|Mercure (Hg)|Mercurio (Hg)|Mercurio (Hg)|Kwik (Hg)|Mercúrio (Hg)|Rtęć (Hg)|Kvicksilver (Hg)'),
};
/** The name of an analyte in a language; its symbol where there is none. @example paperName('N', 'element', 'de') // 'Gesamtstickstoff (N)' */
export const paperName = (analyte: Analyte, basis: Basis, language: PaperLanguage): string =>
  NAMES[`${analyte} ${basis}`]?.[language] ?? (basis === 'element' ? analyte : basis);
/** Analytes that have a name in every language. */
export const NAMED: readonly (readonly [Analyte, Basis])[] = Object.keys(NAMES).map((key) => {
  const [analyte, basis] = key.split(' ') as [Analyte, Basis];
  return [analyte, basis] as const;
});

/** Soil figures that are no nutrients, as the laboratory calls them. */
// prettier-ignore
export const SOIL_NAMES: Readonly<Record<'pH' | 'organicMatter' | 'CEC' | 'EC' | 'nitrateN' | 'ammoniumN', InAll>> = {
  pH: all('pH|pH-Wert|pH|pH|pH|pH|pH|pH|pH'),
  organicMatter: all('Organic matter|Organische Substanz|Matière organique|Materia orgánica|Sostanza organica|Organische stof|Matéria orgânica|Materia organiczna|Mullhalt'),
  CEC: all('CEC|Kationenaustauschkapazität|CEC|CIC|CSC|CEC|CTC|CEC|Katjonbyteskapacitet'),
  EC: all('Electrical conductivity|Elektrische Leitfähigkeit|Conductivité|Conductividad|Conducibilità|Geleidbaarheid|Condutividade|Przewodność|Ledningstal'),
  nitrateN: all('Nitrate-N|Nitrat-N|Azote nitrique (N-NO3)|Nitrógeno nítrico (N-NO3)|Azoto nitrico (N-NO3)|Nitraat-N|Azoto nítrico (N-NO3)|Azot azotanowy (N-NO3)|Nitratkväve'),
  ammoniumN: all('Ammonium-N|Ammonium-N|Azote ammoniacal (N-NH4)|Nitrógeno amoniacal (N-NH4)|Azoto ammoniacale (N-NH4)|Ammonium-N|Azoto amoniacal (N-NH4)|Azot amonowy (N-NH4)|Ammoniumkväve'),
};

/** Words of a paper's frame. */
// prettier-ignore
export const FRAME = {
  analysis: all('Analysis|Analyse|Analyse|Análisis|Analisi|Analyse|Análise|Analiza|Analys'),
  parameter: all('Parameter|Parameter|Paramètre|Parámetro|Parametro|Parameter|Parâmetro|Parametr|Parameter'),
  result: all('Result|Ergebnis|Résultat|Resultado|Risultato|Resultaat|Resultado|Wynik|Resultat'),
  unit: all('Unit|Einheit|Unité|Unidad|Unità|Eenheid|Unidade|Jednostka|Enhet'),
  limit: all('LOD|Nachweisgrenze|Limite de détection|Límite de detección|Limite di rilevabilità|Detectiegrens|Limite de deteção|Granica oznaczalności|Detektionsgräns'),
  asIs: all('As received|Frischmasse|Sur brut|Sobre materia original|Sul tal quale|In het product|Na matéria original|Świeża masa|Färskvikt'),
  dry: all('Dry matter|Trockenmasse|Sur sec|Sobre materia seca|Sul secco|Droge stof|Na matéria seca|Sucha masa|Torrsubstans'),
  wanted: all('Target|Zielwert|Valeur souhaitable|Valor deseado|Valore ottimale|Streefwaarde|Valor ideal|Zalecana|Riktvärde'),
  moisture: all('Moisture|Feuchtigkeit|Humidité|Humedad|Umidità|Vocht|Humidade|Wilgotność|Vattenhalt'),
  sample: all('Sample|Probe|Échantillon|Muestra|Campione|Monster|Amostra|Próbka|Prov'),
} as const;
