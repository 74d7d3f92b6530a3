/**
 * Every term that a gardener meets here and may not know, in one sentence each. Written here once; shown where the word stands, and all together
 * under `?`.
 */
export const TERMS = {
  acidity: [
    'exchangeable acidity',
    'The acid that clings to the soil’s particles and that lime has to use up before the pH rises.',
  ],
  alkalinity: [
    'alkalinity',
    'How much acid the water can soak up, as if it were all dissolved lime; hard water limes the ground each time you water.',
  ],
  ammonium: [
    'ammoniacal nitrogen',
    'Nitrogen as ammonium: roots take some at once, and soil life turns the rest into nitrate within weeks.',
  ],
  armOfTrial: ['arm', 'One of the things that a trial sets side by side; all units of an arm get the same.'],
  assumption: [
    'assumption',
    'A number nobody measured here, with the range it may lie in; your own measurement takes its place.',
  ],
  available: ['available', 'The part of a nutrient that roots can get soon; the total may be far more.'],
  band: [
    'band',
    'The tint round a line: eight in ten of many runs, each with other values from the assumptions’ ranges, lie in it.',
  ],
  basis: [
    'oxide and element',
    'Labels count phosphorus as P₂O₅ and potassium as K₂O; 1 kg of P₂O₅ holds 0.44 kg of P, and 1 kg of K₂O holds 0.83 kg of K.',
  ],
  belowDetection: [
    'below detection',
    'So little that the lab could not tell it from none: it is neither zero nor the limit.',
  ],
  blockOfTrial: [
    'block',
    'Ground that is alike, in which every arm stands once: slope, shade and soil then fall on all arms alike.',
  ],
  bulkDensity: [
    'bulk density',
    'What a litre of the loose material weighs; without it a scoop cannot be turned into grams.',
  ],
  CEC: [
    'CEC, cation exchange capacity',
    'How much calcium, magnesium, potassium and the like the soil can hold; it says nothing of how much salt is in it.',
  ],
  chloride: ['chloride', 'A salt that comes with some potash; leeks and cereals do not mind, berries and potatoes do.'],
  claim: ['claim', 'What somebody says a product does, put so that it can be counted and checked.'],
  CN: [
    'C:N',
    'Kilograms of carbon for each kilogram of nitrogen; above about 20 the soil’s life holds the nitrogen back at first.',
  ],
  coated: ['coated nitrogen', 'Nitrogen in a shell that lets it out slowly, faster when the soil is warm.'],
  confounder: ['confounder', 'Something else that was changed too, and could have made the difference by itself.'],
  controlArm: ['control', 'The arm that gets all the care but not what is tested: what the others are set against.'],
  crudeProtein: ['crude protein', 'On a feed tag: nitrogen times 6.25, so a tenth of protein is 1.6 % nitrogen.'],
  denitrification: ['denitrification', 'Nitrate that goes off as gas where warm soil stands full of water.'],
  derivedFrom: ['derived from', 'The materials a product is made of, as its label lists them, the most first.'],
  dispersive: ['dispersive', 'Of clay that falls apart in water and seals the soil; a jar test shows it.'],
  dose: ['dose', 'How much is given at one time to a plant, a bed or an area.'],
  drained: ['drained', 'Water that runs below the roots and takes nitrate along.'],
  EC: [
    'EC, electrical conductivity',
    'How much salt is dissolved in water or in the soil’s water; it says nothing of how much the soil can hold.',
  ],
  ESP: [
    'ESP, exchangeable sodium',
    'The share of the soil’s holding places that sodium takes; much of it makes clay fall apart.',
  ],
  evapotranspiration: ['evapotranspiration', 'Water that goes back to the air from the soil and through the leaves.'],
  figure: ['figure', 'A number with a dotted line under it opens to how it was worked out.'],
  filler: ['filler', 'Something without nutrients that only makes up the weight.'],
  freeLime: ['free lime', 'Lime that lies in the soil as grains: it holds the pH high and binds phosphorus.'],
  grade: [
    'grade',
    'The three numbers on a bag: per cent by weight of nitrogen, of phosphate as P₂O₅ and of potash as K₂O.',
  ],
  guaranteed: ['guaranteed analysis', 'What the seller promises is in the bag at least, in per cent by weight.'],
  gypsum: ['gypsum', 'Calcium sulfate: it brings calcium and drives sodium out, and hardly changes the pH.'],
  humus: ['humus', 'The old, dark part of organic matter that gives a little nitrogen for many years.'],
  incorporated: ['worked in', 'Mixed into the soil after spreading, so that less ammonia goes off.'],
  label: ['label rate', 'The dose the label names; more than it is never advised.'],
  leaching: ['leaching', 'Nitrate washed below the roots by rain or watering.'],
  liming: ['liming effect', 'How much pure lime a product stands for, or, with a minus, how much lime it uses up.'],
  logger: ['logger', 'A small device that writes down temperature or rain by itself, day by day.'],
  longevity: [
    'longevity',
    'How many days a coated material takes to give four fifths of its nitrogen, at the temperature its maker names.',
  ],
  massFraction: ['per cent by weight', 'Kilograms of something in 100 kg of the product.'],
  medium: ['medium', 'What roots stand in: soil, potting mix, or something without life such as coir or rockwool.'],
  microbes: ['held by microbes', 'Nitrogen that the soil’s life has taken for itself and gives back when it dies.'],
  mineralization: [
    'mineralization',
    'Soil life breaking organic matter down, so that its nitrogen becomes ammonium and nitrate.',
  ],
  mycorrhiza: [
    'mycorrhiza',
    'Fungi that live with roots and fetch phosphorus for them; much phosphorus in the soil makes them idle.',
  ],
  nitrate: ['nitrate', 'The form of nitrogen most plants drink; it moves with the water and is easily washed out.'],
  notDeclared: ['not declared', 'The label says nothing of it, which does not mean there is none.'],
  organicListed: [
    'listed for organic use',
    'A certifier’s list names it; that says nothing of how much salt or nitrogen it holds.',
  ],
  organicMatter: ['organic matter', 'What is left of plants and animals in the soil, in per cent by weight.'],
  pH: [
    'pH',
    'How sour the soil is: 7 is neutral, each step below is ten times as acid; it decides what roots can get.',
  ],
  ppm: ['ppm', 'Parts in a million: the same as mg per kg, or in water mg per litre.'],
  programme: ['programme', 'Everything a crop is given over a season: what, how much, when and where.'],
  provenance: [
    'where a number comes from',
    'Measured, from a label, published, typical of the material, or a guess: the more certain one counts.',
  ],
  pValue: [
    'p',
    'How often chance alone would set some arm so far apart if nothing did anything; small is rare, and it is not the chance that it works.',
  ],
  Q10: ['Q10', 'How many times faster something runs when it is 10 °C warmer; for soil life about twice.'],
  range: ['range', 'The lowest and the highest a number may be; it stays a range in all that is worked out from it.'],
  ratio: ['ratio', 'How much of one nutrient for each part of another, whatever the strength.'],
  removal: ['removed by the harvest', 'Nutrients that leave the plot with what is picked.'],
  replicate: ['replicate', 'One more unit of each arm: without it a difference cannot be told from luck.'],
  SAR: [
    'SAR, sodium adsorption ratio',
    'Sodium set against calcium and magnesium in the soil’s water; from 13 on it breaks the soil’s crumbs.',
  ],
  saline: ['saline', 'So much salt in the soil’s water that roots find it hard to drink.'],
  saltIndex: [
    'salt index',
    'How much a product raises the saltiness of the soil’s water, against the same weight of sodium nitrate, which counts as 100.',
  ],
  saturatedPaste: [
    'saturated paste',
    'Soil stirred with just enough water to glisten; what its water holds tells salt and sodium.',
  ],
  season: ['season', 'One crop on a plot, from sowing or planting until it is cleared.'],
  sodic: ['sodic', 'So much sodium on the clay that the soil seals and drains badly; gypsum is the usual cure.'],
  texture: ['texture', 'How much sand, silt and clay the soil is made of; a jar test shows it.'],
  tied: ['tied up', 'Nitrogen that soil life takes out of the soil to break down straw or wood, and gives back later.'],
  tie: [
    'tie',
    'Figures whose ranges overlap, or that differ by less than half a per cent: none of them is called the best alone.',
  ],
  total: ['total', 'All of a nutrient that is there, whether roots can get it or not.'],
  uptake: ['taken up by the crop', 'All of a nutrient a crop takes in a season, the part it leaves on the field too.'],
  urea: [
    'urea',
    'A form of nitrogen that turns to ammonia within days; on top of limy soil a part of it goes off into the air.',
  ],
  volatilised: ['lost as gas', 'Nitrogen that goes off into the air as ammonia.'],
  waterInsoluble: ['water-insoluble nitrogen', 'Nitrogen that soil life has to set free first: it comes slowly.'],
  weightByVolume: [
    'per cent weight by volume',
    'Grams in 100 mL of a liquid; it takes the density to compare it with a dry product.',
  ],
  working: ['working', 'How a number was made: what was put in, where that came from, and what was done with it.'],
} as const satisfies Readonly<Record<string, readonly [term: string, says: string]>>;

export type TermKey = keyof typeof TERMS;
