import { is, type NamedAnalyte } from './named.js';

/** Names on German, French and Spanish labels, accents left away, the most particular first. Words that are the same in English are not here. */
export const OTHER_LANGUAGES: readonly (readonly [RegExp, NamedAnalyte])[] = [
  [/\brohprotein\b|\bproteines? brutes?\b|\bproteina bruta\b/, { kind: 'protein' }],
  [/\bfeuchtigkeit\b|\bwassergehalt\b|\bhumidite\b|\bhumedad\b/, { kind: 'moisture' }],
  [/\btrocken(?:substanz|masse)\b|\bmatiere seche\b|\bmateria seca\b/, { kind: 'dryMatter' }],

  [/\bnitratstickstoff\b|\bazote nitrique\b|\bnitrogeno nitrico\b/, is('N.nitrate')],
  [/\bammonium ?stickstoff\b|\bazote ammoniacal\b|\bnitrogeno amoniacal\b/, is('N.ammoniacal')],
  [/\b(?:carbamid|harnstoff) ?stickstoff\b|\bazote ureique\b|\bnitrogeno ureico\b/, is('N.urea')],
  [/\borganischer stickstoff\b|\bazote organique\b|\bnitrogeno organico\b/, is('N.waterInsoluble')],
  [/\b(?:gesamt)?stickstoff\b|\bazote\b|\bnitrogeno\b/, is('N')],

  [/\bphosphorpentoxid\b|\b(?:gesamt)?phosphat\b|\banhydride phosphorique\b|\bpentoxido de fosforo\b/, is('P', 'P2O5')],
  [/\bphosphor\b|\bphosphore\b|\bfosforo\b/, is('P')],
  [/\bkaliumoxid\b|\bkali\b|\boxyde de potassium\b|\bpotasse\b|\boxido de potasio\b/, is('K', 'K2O')],
  [/\bkalium\b|\bpotasio\b/, is('K')],

  [/\b(?:calcium|kalzium)oxid\b|\boxyde de calcium\b|\boxido de calcio\b/, is('Ca', 'CaO')],
  [/\bkalzium\b|\bcalcio\b/, is('Ca')],
  [/\bmagnesiumoxid\b|\boxyde de magnesium\b|\boxido de magnesio\b/, is('Mg', 'MgO')],
  [/\bmagnesio\b/, is('Mg')],
  [/\bschwefeltrioxid\b|\banhydride sulfurique\b|\btrioxido de azufre\b/, is('S', 'SO3')],
  [/\bschwefel\b|\bsoufre\b|\bazufre\b/, is('S')],
  [/\bnatriumoxid\b|\boxyde de sodium\b|\boxido de sodio\b/, is('Na', 'Na2O')],
  [/\bnatrium\b|\bsodio\b/, is('Na')],
  [/\bchlorid\b|\bchlorure\b|\bcloruro\b/, is('Cl')],

  [/\beisen\b|\bfer\b|\bhierro\b/, is('Fe')],
  [/\bmangan\b|\bmanganeso\b/, is('Mn')],
  [/\bzink\b|\bcinc\b/, is('Zn')],
  [/\bkupfer\b|\bcuivre\b|\bcobre\b/, is('Cu')],
  [/\bbor\b|\bbore\b|\bboro\b/, is('B')],
  [/\bmolybdan\b|\bmolybdene\b|\bmolibdeno\b/, is('Mo')],
  [/\bkobalt\b|\bcobalto\b/, is('Co')],
  [/\barsen\b|\barsenico\b/, is('As')],
  [/\bcadmio\b/, is('Cd')],
  [/\bblei\b|\bplomb\b|\bplomo\b/, is('Pb')],
  [/\bquecksilber\b|\bmercure\b|\bmercurio\b/, is('Hg')],
  [/\bniquel\b/, is('Ni')],
  [/\bchrom\b|\bchrome\b|\bcromo\b/, is('Cr')],
];
