/** Made-up labels in the layouts people meet, with what must be read from each: analyte, basis unless the element, value and unit. */
export interface LabelCase {
  readonly name: string;
  readonly text: string;
  readonly reads: string;
  readonly grade?: string;
  readonly from?: readonly string[];
  readonly packages?: string;
  /** Codes of what contradicts. */
  readonly codes?: readonly string[];
  /** Numbers of lines that must be marked as not understood. */
  readonly unread?: readonly number[];
}

export const LABELS: readonly LabelCase[] = [
  {
    name: 'dots to the value',
    text: 'Total Nitrogen (N) ........ 5.0%\nAvailable Phosphate (P2O5) ..... 3.0%\nSoluble Potash (K2O) ...... 4.0%',
    reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %',
  },
  { name: 'tabs', text: 'Nitrogen\t5%\nPhosphate\t3%\nPotash\t4%', reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %' },
  { name: 'value before name', text: '5% Nitrogen\n3% Phosphate\n4% Potash', reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %' },
  { name: 'all in one line', text: 'N 5% P2O5 3% K2O 4%', reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %' },
  { name: 'all in one line, values first', text: '5% N, 3% P2O5, 4% K2O', reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %' },
  {
    name: 'indented breakdown',
    text: 'Total Nitrogen (N) 16%\n   4.0% Ammoniacal Nitrogen\n   12.0% Urea Nitrogen',
    reads: 'N 16 %, N.ammoniacal 4 %, N.urea 12 %',
  },
  {
    name: 'slow-release footnote',
    text: 'Total Nitrogen 16%\n  4% Ammoniacal Nitrogen\n  12% Urea Nitrogen*\n*12% slowly available nitrogen from coated urea',
    reads: 'N 16 %, N.ammoniacal 4 %, N.urea 12 %, N.coated 12 %',
  },
  {
    name: 'organic breakdown',
    text: 'Total Nitrogen 13%\n1% Water Soluble Nitrogen\n12% Water Insoluble Nitrogen',
    reads: 'N 13 %, N.waterSolubleOrganic 1 %, N.waterInsoluble 12 %',
  },
  {
    name: 'breakdown that does not add',
    text: 'Total Nitrogen 16%\n4% Ammoniacal Nitrogen\n9% Urea Nitrogen',
    reads: 'N 16 %, N.ammoniacal 4 %, N.urea 9 %',
    codes: ['nitrogen.parts'],
  },
  {
    name: 'grade and analysis',
    text: 'Ridgeway Meal 5-3-4\nNitrogen 5%\nPhosphate 3%\nPotash 4%',
    reads: 'N 5 %, P/P2O5 3 %, K/K2O 4 %',
    grade: '5-3-4',
  },
  {
    name: 'grade against analysis',
    text: '6-3-4\nNitrogen 5%',
    reads: 'N 5 %',
    grade: '6-3-4',
    codes: ['grade.differs'],
  },
  {
    name: 'grade with additions in brackets',
    text: 'NPK 12-8-16 (+3 MgO)\n3 % MgO',
    reads: 'Mg/MgO 3 %',
    grade: '12-8-16 + 3 MgO',
  },
  {
    name: 'decimal commas',
    text: 'Stickstoff-free text\nTotal nitrogen 5,5 %\nMagnesium oxide 1,25 %',
    reads: 'N 5.5 %, Mg/MgO 1.25 %',
  },
  {
    name: 'declared in oxides',
    text: '3 % MgO total magnesium oxide\n25 % SO3 total sulphur trioxide\n10 % CaO calcium oxide\n2 % Na2O',
    reads: 'Mg/MgO 3 %, S/SO3 25 %, Ca/CaO 10 %, Na/Na2O 2 %',
  },
  {
    name: 'element in brackets after the oxide',
    text: '8 % P2O5 phosphorus pentoxide (3,5 % P)\n16 % K2O potassium oxide (13,3 % K)',
    reads: 'P/P2O5 8 %, K/K2O 16 %',
  },
  {
    name: 'bracket that contradicts',
    text: '16 % K2O potassium oxide (9,3 % K)',
    reads: 'K/K2O 16 %',
    codes: ['bracket.differs'],
  },
  {
    name: 'solubility words',
    text: '8 % P2O5 phosphorus pentoxide soluble in neutral ammonium citrate and water',
    reads: 'P/P2O5 8 %',
  },
  {
    name: 'elemental declaration',
    text: 'Nitrogen (N) 10.1%\nPhosphorus (P) 3.5%\nPotassium (K) 8.3%',
    reads: 'N 10.1 %, P 3.5 %, K 8.3 %',
  },
  {
    name: 'elemental against the grade',
    text: '5-8-4\nNitrogen 5%\nPhosphate (P2O5) 3.5%\nPotash 4%',
    reads: 'N 5 %, P/P2O5 3.5 %, K/K2O 4 %',
    grade: '5-8-4',
    codes: ['basis.elemental'],
  },
  { name: 'subscripts', text: 'P₂O₅ 8 %\nK₂O 12 %', reads: 'P/P2O5 8 %, K/K2O 12 %' },
  { name: 'per kilogram', text: 'Nitrogen 50 g/kg\nBoron 200 mg/kg', reads: 'N 50 g/kg, B 200 mg/kg' },
  {
    name: 'heading says the unit',
    text: 'Guaranteed analysis (% w/w)\nNitrogen 5\nPotash 4',
    reads: 'N 5 %, K/K2O 4 %',
  },
  { name: 'no unit anywhere', text: 'Nitrogen 5', reads: '', unread: [1] },
  {
    name: 'a liquid by volume',
    text: 'Analysis % w/v\nNitrogen 8\nPotash 4\nDensity 1.2 kg/L',
    reads: 'N 8 % w/v, K/K2O 4 % w/v',
  },
  { name: 'grams per litre', text: 'Nitrogen 80 g/L\nSpecific gravity 1.18', reads: 'N 80 g/L' },
  {
    name: 'micronutrients',
    text: 'Iron (Fe) 0.5%\nManganese (Mn) 0.05%\nZinc (Zn) 0.05%\nCopper 0.02%\nBoron 0.02%\nMolybdenum 0.001%\nChlorine 2%\nSodium 1%\nSilica (SiO2) 20%',
    reads: 'Fe 0.5 %, Mn 0.05 %, Zn 0.05 %, Cu 0.02 %, B 0.02 %, Mo 0.001 %, Cl 2 %, Na 1 %, Si/SiO2 20 %',
  },
  {
    name: 'parts of a nutrient are not added',
    text: 'Iron (Fe) 0.5%\n0.4% Chelated Iron\nMagnesium 2%\n1.5% Water soluble magnesium\nSulfur 6%\n3% Free Sulfur\n3% Combined Sulfur',
    reads: 'Fe 0.5 %, Mg 2 %, S 6 %',
  },
  {
    name: 'ingredients over two lines',
    text: 'Nitrogen 5%\nDerived from: feather meal, steamed bone meal,\nsulfate of potash and alfalfa meal.',
    reads: 'N 5 %',
    from: ['feather meal', 'steamed bone meal', 'sulfate of potash', 'alfalfa meal'],
  },
  {
    name: 'ingredients headed',
    text: 'Ingredients: dried poultry manure (pelleted)',
    reads: '',
    from: ['dried poultry manure'],
  },
  {
    name: 'an ingredient missing for what is declared',
    text: 'Phosphate 5%\nDerived from: urea',
    reads: 'P/P2O5 5 %',
    from: ['urea'],
    codes: ['ingredient.missing'],
  },
  { name: 'net weight in two units', text: 'Nitrogen 5%\nNet Weight 20 kg (44 lb)', reads: 'N 5 %', packages: '20 kg' },
  { name: 'net volume', text: 'Nitrogen 5%\nNet contents: 5 L', reads: 'N 5 %', packages: '5 L' },
  { name: 'feed tag', text: 'Crude protein 38 %\nMoisture 12 %', reads: 'N 6.08 %' },
  {
    name: 'feed tag with minimum words',
    text: 'Guaranteed analysis\nCrude Protein, min ... 16.0%\nCalcium, min 1.2%',
    reads: 'N 2.56 %, Ca 1.2 %',
  },
  {
    name: 'lab slip on dry matter',
    text: 'mg/kg on dry matter\nMoisture 35 %\nTotal nitrogen 14500\nPotassium 9800',
    reads: 'N 9425 mg/kg, K 6370 mg/kg',
  },
  {
    name: 'lab slip, dry, moisture unknown',
    text: 'mg/kg dry weight\nNitrogen 14500',
    reads: '',
    codes: ['label.dry'],
  },
  {
    name: 'below detection',
    text: 'Cadmium < 0.2 mg/kg\nLead less than 5 mg/kg',
    reads: 'Cd < 0.2 mg/kg, Pb < 5 mg/kg',
  },
  { name: 'a range', text: 'Nitrogen 2–3 %\nPotash 1 to 2 %', reads: 'N 2–3 %, K/K2O 1–2 %' },
  { name: 'run-together digits with one reading', text: 'NPK 0050', reads: '', grade: '0-0-50' },
  { name: 'run-together digits with several', text: 'NPK 1200', reads: '', unread: [1] },
  {
    name: 'dates, batches and telephone numbers are no grades',
    text: '2026-03-14\nBatch 2026-114\nCall 555-3344',
    reads: '',
    unread: [],
  },
  {
    name: 'the same nutrient twice',
    text: 'Nitrogen 5%\nNitrogen 6%',
    reads: '',
    codes: ['label.repeated'],
    unread: [1, 2],
  },
  {
    name: 'more than can be',
    text: 'Nitrogen 40%\nPotash 30%',
    reads: 'N 40 %, K/K2O 30 %',
    codes: ['carriers.over100'],
  },
  { name: 'above the whole', text: 'Nitrogen 140%', reads: 'N 140 %', codes: ['value.over100'] },
  { name: 'nothing', text: '', reads: '' },
  { name: 'only words', text: 'Feed the soil, not the plant.\nShake well.', reads: '' },
  {
    name: 'windows and old line ends',
    text: 'Nitrogen 5%\r\nPotash 4%\rMagnesium 1%',
    reads: 'N 5 %, K/K2O 4 %, Mg 1 %',
  },
  {
    name: 'control characters and odd spaces',
    text: 'Nitro\u0000gen\u00a05\u202f%\n\u200bNitrogen\u00a05 %\u0007',
    reads: 'N 5 %',
    unread: [1],
  },
  {
    name: 'a formula in the name is no value',
    text: 'Nitrate (NO3) 4 %\nAmmonium NH4 2 %',
    reads: 'N.nitrate/NO3 4 %, N.ammoniacal/NH4 2 %',
  },
  { name: 'capitals and colons', text: 'NITROGEN: 5 %\nPHOSPHORUS PENTOXIDE: 3 %', reads: 'N 5 %, P/P2O5 3 %' },
  { name: 'chemistry as a label', text: 'MgSO4·7H2O', reads: 'Mg 9.861 %, S 13.01 %' },
  { name: 'a formula that is none', text: 'ABC123XYZ9', reads: '' },
  { name: 'an unknown name', text: 'Vitality factor 12 %', reads: '', unread: [1] },
];
