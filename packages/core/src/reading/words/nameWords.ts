import type { CompoundBasis, Nutrient } from '../../nutrient/index.js';
import type { Words } from './languages.js';

/** What a word in the name of a figure tells. */
export type NameMeaning =
  /** An element by its name or symbol. */
  | `el.${Nutrient}`
  /** A compound that analyses are told in, by its formula. */
  | `ox.${CompoundBasis}`
  /** A word for an oxide that some print for the element: phosphate, potash. */
  | 'trade.P2O5'
  | 'trade.K2O'
  | 'trade.MgO'
  | 'trade.CaO'
  | 'trade.SiO2'
  /** "oxide", "pentoxide", "anhydride": what stands beside it is told as its oxide. */
  | 'oxide'
  | 'form.nitrate'
  | 'form.ammonium'
  | 'form.urea'
  | 'form.organic'
  | 'form.slow'
  | 'form.protein'
  /** What a metal is bound to: with an element it is a salt. */
  | 'anion'
  | 'anion.carbonate'
  | 'anion.sulphate'
  /** A salt or a raw material by a name of its own. */
  | 'salt'
  | 'as'
  | 'q.total'
  | 'q.water'
  | 'q.citrate'
  | 'q.acid'
  | 'q.soluble'
  | 'q.insoluble'
  | 'q.available'
  | 'q.extract'
  | 'q.exchangeable'
  | 'q.chelated'
  | 'q.free'
  | 'q.other'
  | 'of.moisture'
  | 'of.dryMatter'
  | 'of.liming'
  | 'of.matter'
  | 'of.organicMatter'
  | 'of.carbon'
  | 'of.pH'
  | 'of.buffer'
  | 'of.CEC'
  | 'of.EC'
  | 'of.SAR'
  | 'of.ESP'
  | 'of.saturation'
  | 'of.acidity'
  | 'of.bulkDensity'
  | 'of.texture'
  | 'of.ratio'
  | 'of.release'
  | 'of.advice'
  | 'of.quickTest'
  | 'of.index';

const words = (en: string): Words => ({ en });

/** Words of the names of figures, phrases parted by `|`, as `plainWord` makes them. Long words of several are taken apart: "Gesamtstickstoff". */
// prettier-ignore
export const NAME_WORDS: readonly (readonly [NameMeaning, Words])[] = [
  ['el.N', { en: 'nitrogen', de: 'stickstoff', fr: 'azote', es: 'nitrogeno', it: 'azoto', nl: 'stikstof', pt: 'nitrogenio', pl: 'azot|azotu', sv: 'kvave|kvaelstof|kvelstof|nitrogen|kvavegodsel' }],
  ['el.P', { en: 'phosphorus|phosphorous|phosphor', de: 'phosphor', fr: 'phosphore', es: 'fosforo', it: 'fosforo', nl: 'fosfor', pt: 'fosforo', pl: 'fosfor|fosforu', sv: 'fosfor' }],
  ['el.K', { en: 'potassium', de: 'kalium', fr: 'potassium', es: 'potasio', it: 'potassio', nl: 'kalium', pt: 'potassio', pl: 'potas|potasu|potasowy', sv: 'kalium' }],
  ['el.Ca', { en: 'calcium', de: 'kalzium', es: 'calcio', it: 'calcio', pt: 'calcio', pl: 'wapn|wapnia', sv: 'kalcium' }],
  ['el.Mg', { en: 'magnesium', es: 'magnesio', it: 'magnesio', pl: 'magnez|magnezu' }],
  ['el.S', { en: 'sulfur|sulphur', de: 'schwefel', fr: 'soufre', es: 'azufre', it: 'zolfo', nl: 'zwavel', pt: 'enxofre', pl: 'siarka|siarki', sv: 'svavel|svovl' }],
  ['el.Na', { en: 'sodium', de: 'natrium', es: 'sodio', pl: 'sodu' }],
  ['el.Si', { en: 'silicon', de: 'silicium|silizium', es: 'silicio', pl: 'krzem', sv: 'kisel' }],
  ['el.Cl', { en: 'chloride|chlorine', de: 'chlorid|chlor', fr: 'chlorure|chlorures|chlore', es: 'cloruro|cloruros|cloro', it: 'cloruri|cloruro|cloro', nl: 'chloride|chloor', pt: 'cloreto|cloretos|cloro', pl: 'chlorek|chlorki|chlorkow|chlorku|chlor', sv: 'klorid|klor' }],
  ['el.Fe', { en: 'iron', de: 'eisen', fr: 'fer', es: 'hierro', it: 'ferro', nl: 'ijzer', pt: 'ferro', pl: 'zelazo|zelaza', sv: 'jarn|jern' }],
  ['el.Mn', { en: 'manganese', de: 'mangan', es: 'manganeso', nl: 'mangaan', pt: 'manganes', pl: 'mangan|manganu' }],
  ['el.Zn', { en: 'zinc', de: 'zink', es: 'cinc', it: 'zinco', pl: 'cynk|cynku', nl: 'zink' }],
  ['el.Cu', { en: 'copper', de: 'kupfer', fr: 'cuivre', es: 'cobre', it: 'rame', nl: 'koper', pt: 'cobre', pl: 'miedz|miedzi', sv: 'koppar|kobber' }],
  ['el.B', { en: 'boron', de: 'bor', fr: 'bore', es: 'boro', it: 'boro', nl: 'boor|borium', pl: 'bor|boru' }],
  ['el.Mo', { en: 'molybdenum', de: 'molybdan', fr: 'molybdene', es: 'molibdeno', nl: 'molybdeen', pt: 'molibdenio', pl: 'molibden|molibdenu', sv: 'molybden' }],
  ['el.Co', { en: 'cobalt', de: 'kobalt', es: 'cobalto', sv: 'kobolt' }],
  ['el.Se', { en: 'selenium', de: 'selen', es: 'selenio' }],
  ['el.As', { en: 'arsenic', de: 'arsen', es: 'arsenico', nl: 'arseen', pt: 'arsenio', sv: 'arsenik' }],
  ['el.Cd', { en: 'cadmium', de: 'kadmium', es: 'cadmio', pl: 'kadm' }],
  ['el.Pb', { en: 'lead', de: 'blei', fr: 'plomb', es: 'plomo', it: 'piombo', nl: 'lood', pt: 'chumbo', pl: 'olow', sv: 'bly' }],
  ['el.Hg', { en: 'mercury', de: 'quecksilber', fr: 'mercure', es: 'mercurio', nl: 'kwik', pl: 'rtec', sv: 'kvicksilver|kviksolv' }],
  ['el.Ni', { en: 'nickel', es: 'niquel', it: 'nichel|nichelio', nl: 'nikkel', pl: 'nikiel' }],
  ['el.Cr', { en: 'chromium', de: 'chrom', fr: 'chrome', es: 'cromo', nl: 'chroom', sv: 'krom' }],

  // Methods that are told with the symbol of their element.
  ['el.P', words('p al|p hcl|p1|p2|p w|pw|p pae|p cal|p dl|bray p|bray p a|bray p b|bray pa|bray pb|bray p1|bray p2|olsen p|tp')],
  ['el.K', words('k al|k cal|k dl|tk|k hcl|k hno3')],
  ['el.Na', words('na al')],
  ['el.Cu', words('koppar hcl|cu hcl')],
  ['el.Mg', words('mg al')],
  ['el.Ca', words('ca al')],
  ['el.Ca', words('ca2')],
  ['el.Mg', words('mg2')],
  ['of.matter', words('al3')],
  ['el.N', words('tn|tkn|norg|ntot|nmin')],
  ['form.organic', words('norg')],
  ['q.total', words('tn|tp|tk|tkn|ntot')],

  ['ox.P2O5', words('p2o5|p205|phosphorus pentoxide')],
  ['ox.K2O', words('k2o|k20')],
  ['ox.CaO', words('cao|ca0')],
  ['ox.CaCO3', { en: 'caco3|calcium carbonate', fr: 'carbonate de calcium', es: 'carbonato de calcio|carbonato calcico', it: 'carbonato di calcio', nl: 'calciumcarbonaat', de: 'calciumcarbonat|kohlensaurer kalk', pl: 'weglan wapnia' }],
  ['ox.MgO', words('mgo|mg0')],
  ['ox.MgCO3', { en: 'mgco3|magnesium carbonate', de: 'magnesiumcarbonat', fr: 'carbonate de magnesium', es: 'carbonato de magnesio|carbonato magnesico', it: 'carbonato di magnesio' }],
  ['ox.Fe2O3', words('fe2o3')],
  ['ox.MnO', words('mno')],
  ['ox.ZnO', words('zno')],
  ['ox.CuO', words('cuo')],
  ['ox.SO4', words('so4|so42')],
  ['ox.PO4', words('po4')],
  ['ox.B2O3', words('b2o3')],
  ['ox.SO3', words('so3|s03')],
  ['ox.Na2O', words('na2o')],
  ['ox.SiO2', { en: 'sio2|silicon dioxide', de: 'siliciumdioxid' }],
  ['ox.NO3', words('no3|n03')],
  ['ox.NH4', words('nh4')],

  ['trade.P2O5', { en: 'phosphate|phosphoric acid|phosphoric anhydride|phosphoric pentoxide', de: 'phosphat|phosphorsaure', fr: 'phosphate|anhydride phosphorique|acide phosphorique', es: 'anhidrido fosforico|fosfato', it: 'anidride fosforica|fosfato', nl: 'fosfaat|fosforzuuranhydride|fosforzuur', pt: 'anidrido fosforico|fosfato', sv: 'fosfat|fosforsyra' }],
  ['trade.K2O', { en: 'potash', de: 'kali', fr: 'potasse', es: 'potasa', it: 'potassa', nl: 'kali', pt: 'potassa' }],
  ['trade.MgO', { en: 'magnesia', fr: 'magnesie' }],
  ['trade.SiO2', { en: 'silica', de: 'kieselsaure' }],
  ['oxide', { en: 'oxide|dioxide|trioxide|pentoxide|anhydride', de: 'oxid|dioxid|trioxid|pentoxid', fr: 'oxyde|trioxyde|pentoxyde|anhydride sulfurique', es: 'oxido|trioxido|pentoxido|anhidrido', it: 'ossido|triossido|pentossido|anidride', nl: 'oxide|trioxide|pentoxide', pt: 'oxido|trioxido|pentoxido|anidrido', pl: 'tlenek|trojtlenek|tritlenek|pieciotlenek', sv: 'oxid|trioxid|pentoxid' }],
  ['el.S', { fr: 'sulfurique', es: 'sulfurico', it: 'solforica|solforico' }],

  ['form.nitrate', { en: 'nitrate|nitric', de: 'nitrat', fr: 'nitrique|nitrate', es: 'nitrico|nitrato', it: 'nitrico|nitrato', nl: 'nitraat', pt: 'nitrico|nitrato', pl: 'azotanowy|azotanowego|azotanu', sv: 'nitrat' }],
  ['form.ammonium', { en: 'ammoniacal|ammonium|ammonia|ammonic', de: 'ammonium|ammoniak|ammon', fr: 'ammoniacal|ammonium', es: 'amoniacal|amonio', it: 'ammoniacale|ammonio', nl: 'ammonium|ammoniakaal|ammoniakale|ammoniak', pt: 'amoniacal|amonio', pl: 'amonowy|amonowego', sv: 'ammonium' }],
  ['form.urea', { en: 'urea|ureic|carbamide|amide|amidic', de: 'carbamid|harnstoff|amid', fr: 'ureique|uree', es: 'ureico|urea|amidico', it: 'ureico|urea|ammidico', nl: 'ureum|carbamide|amide', pt: 'ureico|ureia|amidico|amidica', pl: 'amidowy|mocznikowy', sv: 'urea|amid' }],
  ['form.organic', { en: 'organic|organically bound', de: 'organischer|organisch|organisch gebunden|organisch gebundener', fr: 'organique', es: 'organico', it: 'organico', nl: 'organisch|organische', pt: 'organico', pl: 'organiczny', sv: 'organiskt|organisk' }],
  ['form.slow', { en: 'ibdu|isobutylidene diurea|crotonylidene diurea|urea formaldehyde|ureaformaldehyde|ureaform|urea form|methylene urea|methylene ureas|slow|slow release|slowly|slow available|slowly available|controlled release|timed release|coated|slow acting', de: 'isobutylidendiharnstoff|crotonylidendiharnstoff|formaldehydharnstoff|umhullt|umhullter|langzeit', fr: 'enrobe', es: 'liberacion lenta', it: 'lenta cessione|rivestito', nl: 'langzaamwerkend|gecoat' }],
  ['form.protein', { en: 'crude protein|protein', de: 'rohprotein|eiweiss', fr: 'proteine brute|proteines brutes|proteines', es: 'proteina bruta|proteina', it: 'proteina grezza|proteine grezze|proteina', nl: 'ruw eiwit|eiwit', pt: 'proteina bruta', pl: 'bialko surowe|bialko', sv: 'raprotein|protein' }],

  ['anion.sulphate', { en: 'sulphate|sulfate|sulphates|sulfates', de: 'sulfat', fr: 'sulfate|sulfates', es: 'sulfato', it: 'solfato', nl: 'sulfaat', pt: 'sulfato', pl: 'siarczan', sv: 'sulfat' }],
  ['anion.carbonate', { en: 'carbonate|carbonates|free lime|free carbonate', de: 'carbonat|karbonat|freier kalk', fr: 'carbonate|carbonates|calcaire total|calcaire', es: 'carbonato|carbonatos|caliza|caliza total', it: 'carbonato|calcare|calcare totale', nl: 'carbonaat|koolzure kalk', pt: 'calcario', pl: 'weglan', sv: 'karbonat' }],
  ['anion', words('bicarbonate|hydroxide|silicate|borate|molybdate|humate|acetate|citrate|gluconate|sulphide|sulfide|thiosulphate|thiosulfate|polyphosphate|monophosphate|diphosphate|lignosulphonate|lignosulfonate|dihydrogen')],
  ['salt', words('rock phosphate|superphosphate|triple superphosphate|sulphate of potash|sulfate of potash|muriate of potash|nitrate of soda|nitrate of potash|nitrate of lime|sulphate of ammonia|sulfate of ammonia|sulphate of iron|sulfate of iron|sulphate of magnesia|ferrous sulphate|ferrous sulfate|bone meal|epsom salt|borax|monoammonium phosphate|diammonium phosphate')],
  ['as', { en: 'as|expressed as', de: 'als|in form von', fr: 'sous forme de|sous forme', es: 'como|en forma de', it: 'come|sotto forma di', nl: 'als|in de vorm van', pt: 'como', pl: 'jako', sv: 'uttryckt som' }],

  ['q.total', { en: 'total|tot', de: 'gesamt|total|rein|insgesamt', fr: 'total|totale|totaux', es: 'total|totales', it: 'totale|totali', nl: 'totaal|totale', pt: 'total', pl: 'calkowity|calkowita|ogolny|ogolem', sv: 'total|totalt' }],
  ['q.water', { en: 'water soluble|soluble in water|sol in water|water sol|in water', de: 'wasserloslich|wasserlosliches|wasserloslicher|wasserlosliche|in wasser loslich', fr: 'soluble dans l eau|soluble eau|soluble a l eau|hydrosoluble', es: 'soluble en agua|hidrosoluble', it: 'solubile in acqua|idrosolubile', nl: 'oplosbaar in water|in water oplosbaar|wateroplosbaar|wateroplosbare', pt: 'soluvel em agua|soluvel na agua', pl: 'rozpuszczalny w wodzie|rozpuszczalna w wodzie|rozpuszczalne w wodzie', sv: 'vattenlosligt|vattenloslig|vandoploseligt|vandoploselig|vannloselig' }],
  ['q.citrate', { en: 'citrate soluble|soluble in neutral ammonium citrate|soluble in neutral ammonium citrate and water|soluble in neutral ammonium citrate and in water|neutral ammonium citrate|neutral ammonium citrate and water|nac|citric acid|2 citric acid', de: 'neutralammoncitratlosliches|neutralammoncitratloslich|neutral ammoniumcitrat|in neutral ammoniumcitrat|ammoncitratlosliches|ammoncitrat|zitronensaure|citronensaure', fr: 'citrate d ammonium neutre|dans le citrate d ammonium neutre|citrate d ammonium|acide citrique', es: 'citrato amonico neutro|en citrato amonico neutro|citrato amonico|acido citrico', it: 'citrato ammonico neutro|in citrato ammonico neutro|citrato ammonico|acido citrico', nl: 'neutraal ammoniumcitraat|in neutraal ammoniumcitraat|ammoniumcitraat|citroenzuur', pt: 'citrato de amonio neutro|citrato neutro de amonio|acido citrico|cna', pl: 'obojetnym cytrynianie amonu|w obojetnym cytrynianie amonu|kwasie cytrynowym', sv: 'neutral ammoniumcitrat|citratlosligt|citronsyra|citratoploselig' }],
  ['q.acid', { en: 'mineral acid|mineral acids|soluble in mineral acid|soluble in mineral acids|formic acid|soluble in formic acid|aqua regia|acid soluble|strong acid', de: 'mineralsaure|mineralsaurelosliches|mineralsaureloslich|ameisensaure|konigswasser', fr: 'acides mineraux|acide mineral|dans les acides mineraux|acide formique|eau regale', es: 'acidos minerales|acido formico|agua regia', it: 'acidi minerali|acido formico|acqua regia', nl: 'minerale zuren|mierenzuur|koningswater', pt: 'acidos minerais|acido formico', pl: 'kwasach mineralnych|w kwasach mineralnych|kwasie mrowkowym', sv: 'mineralsyra|mineralsyralosligt|myrsyra' }],
  ['q.soluble', { en: 'soluble', de: 'loslich|losliches|loslicher', fr: 'soluble|solubles', es: 'soluble', it: 'solubile', nl: 'oplosbaar|oplosbare', pt: 'soluvel', pl: 'rozpuszczalny|rozpuszczalna|rozpuszczalne', sv: 'losligt|loslig|oploselig' }],
  ['q.insoluble', { en: 'insoluble|water insoluble', de: 'unloslich', fr: 'insoluble', es: 'insoluble', it: 'insolubile', nl: 'onoplosbaar' }],
  ['q.available', { en: 'available|plant available|plant-available|immediately available', de: 'pflanzenverfugbar|verfugbar', fr: 'assimilable|disponible', es: 'asimilable|disponible', it: 'assimilabile|disponibile', nl: 'beschikbaar', pt: 'assimilavel|disponivel', pl: 'przyswajalny|przyswajalna', sv: 'tillganglig' }],
  ['q.extract', { en: 'extractable|water extract|weak acid extract|extract|cal extract|cat extract', de: 'extrakt|extrahierbar', fr: 'extractible|extrait', es: 'extraible|extracto', it: 'estraibile|estratto', nl: 'extraheerbaar|extract', pt: 'extraivel', sv: 'extraherbart' }],
  ['q.exchangeable', { en: 'exchangeable|exch|exc', de: 'austauschbar|austauschbares', fr: 'echangeable', es: 'intercambiable|de cambio', it: 'scambiabile', nl: 'uitwisselbaar', pt: 'trocavel|de troca', pl: 'wymienny' }],
  ['q.chelated', { en: 'chelated|chelate|edta|dtpa|eddha|hedta|hbed|eddhsa|dpa', de: 'chelatisiert|als chelat|chelat|edta', fr: 'chelate|chelates', es: 'quelatado|quelato', it: 'chelato|chelati', nl: 'chelaat', pt: 'quelatado', pl: 'schelatowany|chelat', sv: 'kelat' }],
  ['q.free', words('free|combined|elemental sulfur|elemental sulphur')],
  ['q.other', words('other')],

  ['of.moisture', { en: 'moisture|moisture content|water content', de: 'feuchtigkeit|feuchte|wassergehalt', fr: 'humidite|teneur en eau', es: 'humedad', it: 'umidita', nl: 'vocht|vochtgehalte', pt: 'humidade|umidade', pl: 'wilgotnosc|zawartosc wody', sv: 'vattenhalt|fukthalt|vandindhold' }],
  ['of.dryMatter', { en: 'ts|dry matter|dry residue|dry substance|dry solids|total solids|dm', de: 'trockensubstanz|trockenmasse|trockenruckstand', fr: 'ms|matiere seche', es: 'materia seca', it: 'sostanza secca', nl: 'droge stof', pt: 'materia seca', pl: 'sucha masa', sv: 'torrsubstans|torstof|torrstoff' }],
  ['of.liming', { en: 'calcium carbonate equivalent|caco3 equivalent|cce|neutralising value|neutralizing value|nv|tnv|enp|ecce|enm|env|effective neutralizing value|effective neutralising value|effective calcium carbonate equivalent|lime value|neutralizing index|neutralising index', de: 'neutralisationswert|basisch wirksame bestandteile|basisch wirksame stoffe|basisch wirks bestandt|basisch wirks bestandteile|neutralisationsvermogen', fr: 'valeur neutralisante|vn', es: 'valor neutralizante', it: 'valore neutralizzante', nl: 'neutraliserende waarde nw|neutraliserende waarde|zbw', pt: 'valor neutralizante|poder de neutralizacao', pl: 'liczba zobojetniania|liczba zobojetnienia|wartosc zobojetniajaca|zdolnosc zobojetniania', sv: 'neutraliserende vaerdi|neutraliserande varde|neutraliseringsvarde|neutralisationsvarde|kalkverkan' }],
  ['of.carbon', { en: 'org c|organic c|organic carbon|total organic carbon|toc|carbon|total carbon|c org', de: 'organischer kohlenstoff|kohlenstoff|corg', fr: 'carbone organique|carbone|carbone total', es: 'carbono organico|carbono', it: 'carbonio organico|carbonio', nl: 'organische koolstof|koolstof', pt: 'carbono organico|carbono', pl: 'wegiel organiczny|wegiel', sv: 'organiskt kol|organisk kol' }],
  ['of.organicMatter', { en: 'organic matter|om|soil organic matter|som|humus|loss on ignition|loi', de: 'organische substanz|org substanz|organische masse|humus|humusgehalt|gluhverlust', fr: 'matiere organique|matieres organiques|m o', es: 'materia organica|m o', it: 'sostanza organica|s o', nl: 'organische stof', pt: 'materia organica', pl: 'materia organiczna|substancja organiczna|prochnica', sv: 'glodetap|glodgningsforlust|mullhalt|organiskt material|organisk stof|humus' }],
  ['of.matter', { en: 'ash|crude ash|crude fat|crude fiber|crude fibre|fat|fiber|fibre|humic acid|humic acids|fulvic acid|fulvic acids|humic|amino acid|amino acids|starch|sugars|seaweed|kelp extract|mesh|viscosity|carbohydrate|carbohydrates|lysine|methionine|salt index|particle size|sieve|passing|oil|hydrogen|surface area|pah|sum of pah|tio2|titanium dioxide|other ingredients|total other ingredients|saturation percentage|solubility|purity|granule size|hardness|bacillus|mycorrhizae|inert|alginic acid|mannitol|vitamin|vitamins|fluorine|aluminium|aluminum|al2o3|mineral matter|solids|insolubles|insoluble matter|insoluble residue|salt|common salt|total dissolved solids|p rem|p remanescente|remaining phosphorus|phosphorus buffering index|pbi|calcaire actif|calcare attivo|caliza activa|active lime|active carbonate|iodine|copper sulphate equivalent|biuret|perchlorate|reactivity', de: 'fasern|reaktivitat|rohasche|rohfett|rohfaser|asche|huminsauren|huminsaure|fulvosauren|aminosauren|starke|salzgehalt|rohasche salzsaureunloslich|korngrosse|loslichkeit', fr: 'finesse|cendres|cendres brutes|matieres grasses|cellulose brute|acides amines|acides humiques|acides fulviques|amidon|biuret|reactivite|solubilite carbonique', es: 'granulometria|acidez libre|cenizas|ceniza bruta|grasa bruta|fibra bruta|aminoacidos|aminoacidos libres|acidos humicos|acidos fulvicos|extracto humico|extracto humico total|almidon|biuret|reactividad', it: 'ceneri|ceneri gregge|ceneri grezze|grassi|fibra grezza|fibra greggia|aminoacidi|amminoacidi|acidi umici|acidi fulvici|biureto', nl: 'fijnheid|reactiviteit|ruwe as|as gehalte|ruw vet|ruwe celstof|aminozuren|humuszuren|zetmeel', pt: 'acidez livre|granulometria|cinzas|gordura bruta|fibra bruta|aminoacidos|acidos humicos', pl: 'popiol|popiol surowy|tluszcz surowy|wlokno surowe|aminokwasy|kwasy humusowe|reaktywnosc', sv: 'aska|raaske|rafett|vaxttrad|aminosyror|humussyror' }],

  ['of.pH', { en: 'ph|soil ph', de: 'ph wert|bodenreaktion', nl: 'zuurgraad', pl: 'odczyn' }],
  ['of.buffer', words('buffer|buffered|buffer ph|buffer index|lime index|smp|sikora|woodruff|adams evans|mehlich buffer|bph')],
  ['of.CEC', { en: 'c e c|cec|ecec|cation exchange capacity|cation exch capacity|cation exch cap|exchange capacity|tec|total exchange capacity', de: 'kationenaustauschkapazitat|kak', fr: 'cec metson|capacite d echange cationique|capacite d echange', es: 'cic|capacidad de intercambio cationico', it: 'csc|capacita di scambio cationico', nl: 'cec klei humus|kationenuitwisselingscapaciteit|kationenomwisselcapaciteit', pt: 'ctc|capacidade de troca cationica', pl: 'pojemnosc sorpcyjna', sv: 'katjonbyteskapacitet' }],
  ['of.EC', { en: 'ec|e c|ece|electrical conductivity|conductivity|soluble salts|soluble salt|s salts|sol salts|elec conductivity', de: 'leitfahigkeit|elektrische leitfahigkeit', fr: 'conductivite|conductivite electrique', es: 'conductividad|conductividad electrica', it: 'salinita|conducibilita|conducibilita elettrica|conduttivita', nl: 'geleidbaarheid|geleidingsvermogen', pt: 'condutividade|condutividade eletrica', pl: 'przewodnosc|zasolenie', sv: 'konduktivitet|ledningsevne' }],
  ['of.SAR', words('sar|sodium adsorption ratio')],
  ['of.ESP', words('esp|exchangeable sodium percentage|exchangeable sodium percent')],
  ['of.saturation', { en: 'base saturation|base sat|saturation|cation saturation|percent saturation|base sat', de: 'basensattigung|sattigung', fr: 'taux de saturation|saturation', es: 'saturacion|saturacion de bases', it: 'saturazione|saturazione basica', nl: 'basenverzadiging|bezetting', pt: 'saturacao|saturacao por bases', pl: 'wysycenie', sv: 'basmattnad|basmattnadsgrad' }],
  ['of.acidity', words('exchangeable acidity|exch acidity|total acidity|acidity|exchangeable aluminium|exchangeable hydrogen')],
  ['of.bulkDensity', { en: 'bulk density|volume weight', de: 'lagerungsdichte|volumengewicht', fr: 'densite apparente', es: 'densidad aparente', it: 'densita apparente', nl: 'volumegewicht|bulkdichtheid', pt: 'densidade aparente', pl: 'gestosc objetosciowa', sv: 'volymvikt|volumvekt|volumenvaegt' }],
  ['of.texture', { en: 'sand|silt|clay|stones|gravel', de: 'schluff', fr: 'sable|limon|argile|limons|sables', es: 'arena|limo|arcilla', it: 'sabbia|argilla', nl: 'zand|klei|lutum', pt: 'areia|silte|argila|areia grossa|areia fina', pl: 'piasek|glina', sv: 'ler|lerhalt|sandhalt' }],
  ['of.ratio', { en: 'ratio|ratios|c n|c n ratio|ca mg ratio|k mg ratio', de: 'verhaltnis', fr: 'rapport', es: 'relacion', it: 'rapporto', nl: 'verhouding', pt: 'relacao', pl: 'stosunek', sv: 'kvot' }],
  ['of.advice', { en: 'lr|lime req|lime requirement|lime recommendation|gypsum requirement|recommendation|recommended rate|fertilizer recommendation', de: 'kalkbedarf|dungeempfehlung|empfehlung|dungebedarf', fr: 'besoin en chaux|conseil|preconisation', es: 'recomendacion|necesidad de cal', it: 'consiglio|fabbisogno', nl: 'advies|bemestingsadvies|kalkbehoefte', pt: 'recomendacao|necessidade de calagem', pl: 'zalecenie|potrzeby wapnowania', sv: 'kalkbehov|rekommendation' }],
  ['of.quickTest', words('ledningstal|fosfortal|kaliumtal|magnesiumtal|kobbertal|bortal|reaktionstal|k getal|qt|qtu|maf|maf units|quick test|quick test units')],
  ['of.release', words('enr|estimated nitrogen release|est n release|nitrogen release|estimated n release')],
  ['of.index', { en: 'index|class|rating', de: 'gehaltsklasse|klasse|stufe', fr: 'classe|indice', es: 'clase|indice', it: 'classe', nl: 'waardering|klasse', pt: 'classe', pl: 'klasa|zasobnosc', sv: 'klass' }],
];
