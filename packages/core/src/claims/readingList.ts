/** What sort of work a record is. */
export type PublishedKind = 'meta-analysis' | 'review' | 'original study' | 'handbook';
/** Published work that ships with the program: context for a claim, never an effect size. */
export interface Published {
  readonly key: string;
  readonly record: string;
  readonly kind: PublishedKind;
  /** What it found, in words. */
  readonly says: string;
}

/** Beside every record. */
export const READ_FIRST = 'Read the source before you rely on it.';

const reading = (key: string, kind: PublishedKind, record: string, says: string): Published => ({
  key,
  kind,
  record,
  says,
});
/** Published work by what it bears on; a user adds others by importing them. */
export const READING_LIST: readonly Published[] = [
  reading(
    'edmeades2002',
    'review',
    'Edmeades D.C. (2002) The effects of liquid fertilisers derived from natural products on crop, pasture, and animal production: a review. Australian Journal of Agricultural Research 53, 965–976',
    'In many field trials of such liquids the responses lie around zero as chance would have it; at the recommended rates they bring too few nutrients and too little organic matter to act.',
  ),
  reading(
    'khan2009',
    'review',
    'Khan W. et al. (2009) Seaweed extracts as biostimulants of plant growth and development. Journal of Plant Growth Regulation 28, 386–399',
    'Many effects are reported at low doses and put down to growth regulators and polysaccharides; seaweed extract is no supply of nutrients.',
  ),
  reading(
    'rose2014',
    'meta-analysis',
    'Rose M.T. et al. (2014) A meta-analysis and review of plant-growth response to humic substances. Advances in Agronomy 124, 37–89',
    'Shoots and roots gained about a fifth in dry weight on average, mostly in pots; it varies with source, rate, plant and conditions.',
  ),
  reading(
    'jeffery2011',
    'meta-analysis',
    'Jeffery S. et al. (2011) A quantitative review of the effects of biochar application to soils on crop productivity using meta-analysis. Agriculture, Ecosystems & Environment 144, 175–187',
    'About a tenth more yield on average, most on acid and coarse soils, in part because it limes and holds water.',
  ),
  reading(
    'jeffery2017',
    'meta-analysis',
    'Jeffery S. et al. (2017) Biochar boosts tropical but not temperate crop yields. Environmental Research Letters 12, 053001',
    'About a quarter more yield on average in the tropics, and none on average in temperate soils.',
  ),
  reading(
    'lekberg2005',
    'meta-analysis',
    'Lekberg Y., Koide R.T. (2005) Is plant performance limited by abundance of arbuscular mycorrhizal fungi? A meta-analysis of studies published between 1988 and 2003. New Phytologist 168, 189–204',
    'Management can raise colonisation; whether plants gain depends on conditions, phosphorus among them.',
  ),
  reading(
    'hoeksema2010',
    'meta-analysis',
    'Hoeksema J.D. et al. (2010) A meta-analysis of context-dependency in plant response to inoculation with mycorrhizal fungi. Ecology Letters 13, 394–407',
    'The response to inoculation depends on the kind of plant, on nitrogen fertilising and on the other life in the soil; it is larger where phosphorus limits.',
  ),
  reading(
    'ryan2018',
    'review',
    'Ryan M.H., Graham J.H. (2018) Little evidence that farmers should consider abundance or diversity of arbuscular mycorrhizal fungi when managing crops. New Phytologist 220, 1092–1107',
    'The evidence from fields that yield benefits is weak.',
  ),
  reading(
    'saure2001',
    'review',
    'Saure M.C. (2001) Blossom-end rot of tomato (Lycopersicon esculentum Mill.): a calcium- or a stress-related disorder? Scientia Horticulturae 90, 193–208',
    'Calcium in the soil alone does not explain it; stress and water come first.',
  ),
  reading(
    'kopittke2007',
    'review',
    'Kopittke P.M., Menzies N.W. (2007) A review of the use of the basic cation saturation ratio and the “ideal” soil. Soil Science Society of America Journal 71, 259–265',
    'Within the range commonly found in soils no ideal ratio of calcium, magnesium and potassium is supported; enough of each serves better.',
  ),
  reading(
    'shainberg1989',
    'review',
    'Shainberg I. et al. (1989) Use of gypsum on soils: a review. Advances in Soil Science 9, 1–111',
    'Gypsum works by its calcium and its salt on sodic and dispersive soils, and against aluminium in acid subsoils.',
  ),
  reading(
    'handbook60',
    'handbook',
    'U.S. Salinity Laboratory Staff (1954) Diagnosis and improvement of saline and alkali soils. USDA Agriculture Handbook 60',
    'How sodic a soil is, and how much gypsum it needs.',
  ),
  reading(
    'harley2000',
    'review',
    'Harley A.D., Gilkes R.J. (2000) Factors influencing the release of plant nutrient elements from silicate rock powders: a geochemical overview. Nutrient Cycling in Agroecosystems 56, 11–36',
    'Silicate rock powders release slowly, depending on mineral, fineness and soil, and large amounts are needed.',
  ),
  reading(
    'ramezanian2013',
    'original study',
    'Ramezanian A. et al. (2013) Addition of a volcanic rockdust to soils has no observable effects on plant yield and nutrient status or on soil microbial activity. Plant and Soil 367, 419–436',
    'A volcanic rock dust had no effect that could be observed.',
  ),
  reading(
    'hartz2006',
    'original study',
    'Hartz T.K., Johnstone P.R. (2006) Nitrogen availability from high-nitrogen-containing organic fertilizers. HortTechnology 16, 39–42',
    'Meals with much nitrogen give most of it within weeks, the faster the warmer.',
  ),
  reading(
    'gale2006',
    'original study',
    'Gale E.S. et al. (2006) Estimating plant-available nitrogen release from manures, composts, and specialty products. Journal of Environmental Quality 35, 2321–2332',
    'What a season makes available of a material follows from its total nitrogen or its C:N.',
  ),
  reading(
    'scheuerell2002',
    'review',
    'Scheuerell S., Mahaffee W. (2002) Compost tea: principles and prospects for plant disease control. Compost Science & Utilization 10, 313–338',
    'Results are mixed and depend on how the tea is made; germs are a concern.',
  ),
  reading(
    'epstein1999',
    'review',
    'Epstein E. (1999) Silicon. Annual Review of Plant Physiology and Plant Molecular Biology 50, 641–664',
    'Benefits show mainly under stress, and in plants that take up much silicon.',
  ),
  reading(
    'fageria2009',
    'review',
    'Fageria N.K. et al. (2009) Foliar fertilization of crop plants. Journal of Plant Nutrition 32, 1044–1064',
    'Feeding by the leaf suits trace elements and corrections; it cannot carry the main need of nitrogen, phosphorus and potassium.',
  ),
  reading(
    'abalos2014',
    'meta-analysis',
    'Abalos D. et al. (2014) Meta-analysis of the effect of urease and nitrification inhibitors on crop productivity and nitrogen use efficiency. Agriculture, Ecosystems & Environment 189, 136–144',
    'Yield and the use of nitrogen gain on average, most where losses are large.',
  ),
  reading(
    'ries1977',
    'original study',
    'Ries S.K. et al. (1977) Triacontanol: a new naturally occurring plant growth regulator. Science 195, 1339–1341',
    'A compound found in alfalfa made plants grow; that its use in the field does was not shown by it.',
  ),
];
