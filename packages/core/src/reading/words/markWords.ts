import type { Words } from './languages.js';

/** Ways to take an element out of a soil or a product, as papers name them. */
export type MethodWord =
  | 'olsen'
  | 'bray'
  | 'bray2'
  | 'mehlich3'
  | 'mehlich1'
  | 'ammoniumAcetate'
  | 'saturatedPaste'
  | 'CaCl2'
  | 'KCl'
  | 'water'
  | 'CAL'
  | 'DL'
  | 'PAl'
  | 'morgan'
  | 'DTPA'
  | 'hotWater'
  | 'colwell'
  | 'resin'
  | 'strongAcid'
  | 'lactate';

/** What a word tells of a value: its bound, its role, its basis, its scope. */
export type MarkMeaning =
  | 'least'
  | 'most'
  | 'below'
  | 'none'
  | 'trace'
  | 'about'
  | 'to'
  | 'role.found'
  | 'role.wanted'
  | 'role.limit'
  | 'role.allowed'
  | 'role.error'
  | 'role.before'
  | 'role.share'
  | 'basis.dry'
  | 'basis.asIs'
  | 'basis.element'
  | 'basis.oxide'
  | 'part'
  | 'section'
  | 'sample'
  | 'date'
  | 'all'
  | 'aside'
  | `method.${MethodWord}`;

// prettier-ignore
export const MARK_WORDS: readonly (readonly [MarkMeaning, Words])[] = [
  ['least', { en: 'min|minimum|not less than|no less than|at least|guaranteed minimum|greater than', de: 'min|mindestens|minimum|nicht weniger als|mind', fr: 'min|minimum|au moins|au minimum', es: 'min|minimo|minima|al menos|como minimo|no menos de', it: 'min|minimo|minima|almeno|non meno di', nl: 'min|minimaal|minimum|ten minste|tenminste', pt: 'min|minimo|pelo menos', pl: 'min|minimum|co najmniej|nie mniej niz', sv: 'min|minst|minimum|mindst' }],
  ['most', { en: 'max|maximum|not more than|no more than|at most|up to|not exceeding|not to exceed', de: 'max|hochstens|maximal|maximum|nicht mehr als|bis zu', fr: 'max|maximum|maximale|au plus|au maximum', es: 'max|maximo|maxima|como maximo|no mas de', it: 'max|massimo|massima|al massimo|non piu di', nl: 'max|maximaal|maximum|ten hoogste', pt: 'max|maximo|maxima|no maximo', pl: 'max|maks|maksymalnie|nie wiecej niz', sv: 'max|hogst|maximalt|hojst' }],
  ['below', { en: 'less than|below|under', de: 'weniger als|unter|kleiner als', fr: 'moins de|inferieur a', es: 'menos de|inferior a|menor que', it: 'meno di|inferiore a', nl: 'minder dan|kleiner dan', pt: 'menos de|inferior a', pl: 'mniej niz|ponizej', sv: 'mindre an|under' }],
  ['none', { en: 'not detected|none detected|nd|bdl|below detection|below detection limit|below the detection limit|below limit of detection|below lod|below loq|not detectable|nil detected', de: 'n n|nn|nicht nachweisbar|n b|u n|unter nachweisgrenze|unter der nachweisgrenze', fr: 'non detecte|n d|inferieur a la limite', es: 'no detectado|n d', it: 'non rilevato|non rilevabile|n r', nl: 'niet aantoonbaar|niet aangetoond', pt: 'nao detectado|nao detetado', pl: 'nie wykryto|ponizej granicy|n w', sv: 'ej pavisad|ej detekterad' }],
  ['trace', { en: 'trace|traces|tr', de: 'spuren', fr: 'traces', es: 'trazas', it: 'tracce', nl: 'sporen', pt: 'vestigios', pl: 'slady', sv: 'spar' }],
  ['about', { en: 'approx|approximately|about|ca|circa|typically|typical', de: 'ca|etwa|rund|ungefahr', fr: 'env|environ', es: 'aprox|aproximadamente', it: 'circa|ca', nl: 'ongeveer|circa|ca', pt: 'cerca de|aprox', pl: 'ok|okolo', sv: 'ca|cirka' }],
  ['to', { en: 'to|through', de: 'bis', fr: 'a', es: 'a|hasta', it: 'a', nl: 'tot', pt: 'a|ate', pl: 'do', sv: 'till|til' }],

  ['role.found', { en: 'result|results|found|measured|analysis result|value found|actual|test result|your level|yours|your result|your results|you have|your soil|soil test|test value', de: 'ergebnis|messwert|gemessen|befund|istwert', fr: 'resultat|resultats|mesure|valeur mesuree|teneur', es: 'resultado|resultados|valor', it: 'risultato|risultati|valore', nl: 'resultaat|uitslag|gemeten|analyseresultaat|gevonden', pt: 'resultado|resultados', pl: 'wynik|wyniki|zawartosc', sv: 'resultat|uppmatt|analysresultat|malt' }],
  ['role.wanted', { en: 'target|targets|target range|target level|desired|desired value|desired level|ideal|ideal range|ideal level|optimum|optimum range|optimal|optimal range|goal|guideline|guide|guide level|guideline value|recommended|recommended level|recommended range|wanted|sufficient|sufficiency range|sufficient range|sufficiency|medium range|normal range|reference range|reference value|desirable|desirable range|preferred|aim|suggested range|acceptable range|acceptable|acceptable level|adequate range|range wanted|interpretive range|ideal levels|optimum level|optimum levels|specification|specifications|spec|specs|specified|label claim|claimed|declared value', de: 'zielwert|zielwerte|empfohlen|sollwert|soll|optimum|optimal|richtwert|zielbereich|optimalbereich', fr: 'souhaitable|recommande|valeur recommandee|valeur souhaitable|objectif|optimum|optimal|valeur cible|seuil|norme|reference', es: 'optimo|recomendado|valor recomendado|objetivo|deseable|valor deseado|rango optimo|referencia|ideal', it: 'ottimale|raccomandato|consigliato|desiderato|obiettivo|valore ottimale|riferimento|ideale', nl: 'streefwaarde|aanbevolen|streefgetal|streeftraject|gewenst|advieswaarde|optimaal|richtwaarde', pt: 'ideal|recomendado|desejavel|otimo|objetivo|referencia', pl: 'optymalna|optymalny|zalecana|zalecana zawartosc|zawartosc zalecana|zalecany|zalecane|docelowa|norma', sv: 'malvarde|rekommenderat|anbefalet|riktvarde|optimalt|onskat' }],
  ['role.limit', { en: 'lod|loq|mdl|rl|dl|mrl|pql|lor|detection limit|limit of detection|limit of quantification|reporting limit|limit of reporting|method detection limit|quantitation limit', de: 'nachweisgrenze|bestimmungsgrenze|nwg|bg', fr: 'limite de detection|limite de quantification|lq|ld', es: 'limite de deteccion|limite de cuantificacion', it: 'limite di rilevabilita|limite di quantificazione', nl: 'detectiegrens|bepalingsgrens|rapportagegrens', pt: 'limite de detecao|limite de deteccao|limite de quantificacao', pl: 'granica oznaczalnosci|granica wykrywalnosci', sv: 'detektionsgrans|rapporteringsgrans' }],
  ['role.allowed', { en: 'limit|limits|limit value|permitted|permissible|maximum permitted|max permitted|legal limit|allowable|allowed|threshold|standard|regulatory limit|limit eu', de: 'grenzwert|hochstgehalt|hochstwert', fr: 'valeur limite|limite|teneur maximale|limite reglementaire', es: 'limite|valor limite|limite legal', it: 'limite|limite di legge|valore limite', nl: 'norm|grenswaarde|maximumwaarde|maximale waarde', pt: 'limite|valor limite|valor maximo', pl: 'dopuszczalna|limit|wartosc graniczna', sv: 'gransvarde' }],
  ['role.error', { en: 'uncertainty|error|std dev|standard deviation|sd|rsd|cv|tolerance|tolerances', de: 'messunsicherheit|unsicherheit|abweichung|toleranz', fr: 'incertitude|tolerance|ecart type', es: 'incertidumbre|tolerancia', it: 'incertezza|tolleranza', nl: 'meetonzekerheid|onzekerheid|tolerantie', pt: 'incerteza|tolerancia', pl: 'niepewnosc|tolerancja', sv: 'matosakerhet|osakerhet' }],
  ['role.before', { en: 'previous|previous result|last year|last test|earlier|prior|last sample', de: 'vorjahr|vorherige|letzte probe', fr: 'precedent|annee precedente|analyse precedente', es: 'anterior|ano anterior', it: 'precedente|anno precedente', nl: 'vorig|vorige|vorig jaar', pt: 'anterior', pl: 'poprzedni|poprzednia', sv: 'foregaende|tidigare' }],
  ['role.share', { en: 'of guarantee|percent of guarantee|of claim|of label claim|of target' }],

  ['basis.dry', { en: 'dry matter|dry basis|dry weight|on dry matter|on a dry basis|dry matter basis|dry weight basis|dry mass|dry mass basis|dry|dry wt|dm basis|dmb|on dm|in dm|of dm|oven dry|moisture free|d m|dm|dw|100 dry matter|air dry basis', de: 'trockensubstanz|trockenmasse|in der trockenmasse|in der tm|in tm|i d ts|in ts|in der ts|i ts|ts|bezogen auf trockenmasse|i tr|i d tm', fr: 'matiere seche|sur sec|sur matiere seche|sur ms', es: 'materia seca|sobre materia seca|en seco|s m s|sms', it: 'sostanza secca|sul secco|su s s|sulla sostanza secca|su ss', nl: 'droge stof|in de droge stof|op ds|in ds', pt: 'materia seca|na materia seca|base seca', pl: 'sucha masa|s m|w suchej masie|suchej masy', sv: 'torrsubstans|av ts|i ts|torstof|torrvikt' }],
  ['basis.asIs', { en: 'as is|as received|as rcvd|as rec d|as recd|as sampled|as fed|as is basis|as received basis|fresh|fresh matter|fresh weight|fresh basis|wet|wet basis|wet weight|product basis|on product|as supplied', de: 'frischmasse|frischsubstanz|in der frischmasse|in der fm|in fm|originalsubstanz|fm|os', fr: 'du brut|matiere brute|sur brut|produit brut|sur produit brut|matiere fraiche|sur matiere brute', es: 's m o|smo|sobre materia fresca|materia fresca|sobre materia original|tal cual|materia original|peso fresco', it: 'tal quale|sul tal quale|t q', nl: 'vers product|in het product|vers|verse stof', pt: 'materia original|materia fresca|tal qual|na materia original', pl: 'swieza masa|w swiezej masie|swiezej masy', sv: 'farsk|vatvikt|friskvikt|farskvikt' }],
  ['basis.element', { en: 'elemental|elemental basis|as element|as elements|in elements|in elemental form', de: 'elementar|als element|reinelement', fr: 'elementaire|sous forme elementaire', es: 'elemental|como elemento', it: 'elementare', nl: 'elementair', pt: 'elementar', pl: 'pierwiastek', sv: 'grundamne' }],
  ['basis.oxide', { en: 'as oxides|oxide basis|oxide form|expressed as oxides', de: 'als oxide|als oxid', fr: 'sous forme d oxydes', es: 'como oxidos', it: 'come ossidi', nl: 'als oxiden' }],

  ['part', { en: 'of which|thereof|including|includes|incl|comprising|consisting of|which is|from which|made up of', de: 'davon|darunter|hiervon|inkl|bestehend aus', fr: 'dont|y compris', es: 'de los cuales|del cual|de ellos|incluido', it: 'di cui|dei quali|incluso', nl: 'waarvan|daarvan|incl', pt: 'dos quais|do qual|de que', pl: 'w tym', sv: 'varav|heraf|herav|hvorav' }],
  ['section', { en: 'guaranteed analysis|typical analysis|minimum analysis|declared analysis|nutrient analysis|analysis|guarantee|guaranteed|nutrients|nutrient|composition|content|contents declaration|plant nutrients|fertiliser|fertilizer|lab report|laboratory report|micronutrients|trace elements|heavy metals|macronutrients|major nutrients|secondary nutrients|contaminants|declaration|analytical constituents|metals|parameter|parameters|determination|analyte|test|property', de: 'gehalte|nahrstoffe|nahrstoffgehalte|inhaltsstoffe|spurennahrstoffe|spurenelemente|schwermetalle|analyse|zusammensetzung|dunger|deklaration|untersuchungsergebnisse|parameter|analytische bestandteile', fr: 'teneurs|elements|oligo elements|composition|analyse|engrais|elements fertilisants|elements traces|determination|constituants analytiques|teneurs declarees', es: 'contenido|contenidos|composicion|riqueza garantizada|riquezas garantizadas|analisis|microelementos|metales pesados|abono|nutrientes|parametro|determinacion', it: 'titoli|composizione|contenuto|microelementi|concime|analisi|metalli pesanti|parametro', nl: 'gehalte|gehaltes|gehalten|samenstelling|sporenelementen|meststof|analyse|zware metalen|bepaling', pt: 'teores|teor|composicao|garantias|micronutrientes|adubo|analise|parametro|metais pesados', pl: 'sklad|zawartosc skladnikow|mikroelementy|nawoz|analiza|metale ciezkie|parametr|skladniki pokarmowe', sv: 'innehall|naringsamnen|mikronaringsamnen|godselmedel|analys|mikronaringsstoffer|tungmetaller|parameter' }],
  ['sample', { en: 'bed|plot|field|block|garden|sample|sample id|lab id|lab no|bay|paddock|border|greenhouse|zone|site', de: 'beet|schlag|probe|flache|feld', fr: 'parcelle|echantillon|planche', es: 'muestra|parcela|bancal', it: 'campione|parcella|appezzamento', nl: 'monster|perceel|bed', pt: 'amostra|talhao|parcela|canteiro', pl: 'probka|pole|dzialka', sv: 'prov|falt|skifte|prove' }],
  ['date', { en: 'best before|use by|expiry|expires|mfg|manufactured|manufacture date|production date|produced|packed|date|dated|sampled|received|reported|test date|year|since', de: 'haltbar|haltbar bis|verbrauch bis|datum|probenahme|hergestellt|eingang', fr: 'a consommer|date|peremption|prelevement|fabrique', es: 'caducidad|fecha|fabricacion', it: 'scadenza|data', nl: 'houdbaar|houdbaar tot|datum', pt: 'validade|data', pl: 'termin|data|data produkcji', sv: 'bast fore|datum|dato' }],
  ['all', words('all|all results|all figures|all values|figures|values|results|results are|results in|alle angaben|alle werte|angaben in|werte in|angaben|tous les resultats|resultats en|valeurs en|todos los resultados|valores en|tutti i valori|valori in|alle waarden|alle gehalten|waarden in|wszystkie wyniki|valores em|todos os resultados|alla varden|units|unit|einheit|unite|unites|unidad|unidades|unita|eenheid|jednostka|enhet|unidade')],
  ['aside', words('page|seite|pagina|temperature|temp|street|road|avenue|unit no|www|http|https|http www|phone|email|fax|box|suite|postcode|zip|tel|eg|ec no|eu|regulation|verordnung|reglement|reglamento|regolamento|article|annex|directive|iso|din|en iso|un|class no|cas|barcode|ean|form no')],

  ['method.olsen', words('olsen|bicarbonate|sodium bicarbonate|nahco3|olsen p')],
  ['method.bray', words('bray|bray p|bray a|bray p a|bray pa|braya|bray p1|bray i|p1|weak bray|bray kurtz')],
  ['method.bray2', words('bray b|bray p b|bray pb|brayb|bray p2|bray ii|p2|strong bray')],
  ['method.mehlich3', words('mehlich|mehlich c|mehlich iii|mehlichc|m3|m c|meh c|miii')],
  ['method.mehlich1', words('mehlich a|mehlich i|mehlicha|m1|m a|meh a|double acid')],
  ['method.ammoniumAcetate', { en: 'ammonium acetate|nh4oac|nh4 oac|amac|ammoac|amoac|neutral ammonium acetate|amm acet|am acet|amm acetate|nh4ac|nh4 acetate|nh4 oac', de: 'ammoniumacetat|nh4 acetat', fr: 'acetate d ammonium', es: 'acetato amonico|acetato de amonio', it: 'acetato di ammonio|ammonio acetato', nl: 'ammoniumacetaat', pt: 'acetato de amonio', pl: 'octan amonu' }],
  ['method.saturatedPaste', { en: 'saturated paste|saturation extract|saturated paste extract|saturated extract|sat paste|spe|saturation paste', de: 'sattigungsextrakt', fr: 'pate saturee|extrait de pate saturee', es: 'pasta saturada|extracto saturado|extracto de saturacion', it: 'pasta satura', nl: 'verzadigingsextract' }],
  ['method.CaCl2', { en: 'cacl2|calcium chloride|ca cl2', de: 'calciumchlorid', fr: 'chlorure de calcium', es: 'cloruro calcico|cloruro de calcio', it: 'cloruro di calcio', pl: 'chlorek wapnia' }],
  ['method.KCl', { en: 'kcl|potassium chloride|k cl', de: 'kaliumchlorid', es: 'cloruro potasico|cloruro de potasio', fr: 'chlorure de potassium', pl: 'chlorek potasu', nl: 'kaliumchloride' }],
  ['method.water', { en: 'water|h2o|h2o10|in water|deionised water|deionized water|dist water', de: 'wasser|in wasser', fr: 'eau|a l eau|dans l eau', es: 'agua|en agua', it: 'acqua|in acqua', nl: 'water|in water', pt: 'agua|em agua', pl: 'wodzie|w h2o|w wodzie', sv: 'vatten|i vatten' }],
  ['method.CAL', words('cal|p cal|k cal|cal auszug|cal methode|calcium acetate lactate|calcium acetat lactat')],
  ['method.DL', words('dl|p dl|k dl|dl methode|double lactate|doppellactat')],
  ['method.PAl', words('p al|k al|mg al|ca al|na al|al losligt|al metoden|pal')],
  ['method.morgan', words('morgan|modified morgan|universal extractant')],
  ['method.DTPA', words('dtpa|edta|aae10|aaedta|dtpa extract|dtpa sorbitol')],
  ['method.hotWater', { en: 'hot water|hot water extract|hot cacl2', de: 'heisswasser', fr: 'eau bouillante|eau chaude', es: 'agua caliente', it: 'acqua calda', nl: 'heet water', pt: 'agua quente', sv: 'varmvatten' }],
  ['method.colwell', words('colwell|kcl40|kcl 40|mcp')],
  ['method.resin', words('resin|anion exchange resin|dyer|joret hebert|joret|egner riehm|egner|p w|pw|pae|p pae|haney|h3a|truog')],
  ['method.strongAcid', words('hcl|p hcl|k hcl|koppar hcl|cu hcl|hno3|k hno3|aqua regia|konigswasser')],
  ['method.lactate', words('lactate')],
];

function words(en: string): Words {
  return { en };
}
