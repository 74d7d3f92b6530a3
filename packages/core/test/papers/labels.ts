import type { Paper } from './paper.js';

export const LABELS: readonly Paper[] = [
  {
    name: 'a North American bag with nitrogen forms',
    text: `RIDGEWAY LAWN FOOD 24-4-12
GUARANTEED ANALYSIS
Total Nitrogen (N) ........................ 24.0%
   2.4% Ammoniacal Nitrogen
  15.6% Urea Nitrogen
   6.0% Slowly Available Nitrogen*
Available Phosphate (P2O5) ................. 4.0%
Soluble Potash (K2O) ...................... 12.0%
Sulfur (S) ................................. 5.5%
Iron (Fe) .................................. 1.0%
Derived from: urea, ammonium phosphate, muriate of potash, iron sulfate
NET WT. 50 LB (22.7 kg)`,
    figures: [
      'N element 24 %',
      'N.ammoniacal element 2.4 %',
      'N.urea element 15.6 %',
      'N.coated element 6 %',
      'P P2O5 4 %',
      'K K2O 12 %',
      'S element 5.5 %',
      'Fe element 1 %',
    ],
    packages: ['50 lb'],
    grade: '24-4-12',
  },
  {
    name: 'a German sack',
    text: `HOLLERTAL Rasendünger
NPK-Dünger 20-5-8 (+2 MgO)
20 % N Gesamtstickstoff
   9,2 % Carbamidstickstoff
   10,8 % Ammoniumstickstoff
5 % P2O5 neutralammoncitratlösliches Phosphat
8 % K2O wasserlösliches Kaliumoxid
2 % MgO Gesamtmagnesiumoxid
Nettogewicht: 25 kg`,
    figures: [
      'N element 20 %',
      'N.urea element 9.2 %',
      'N.ammoniacal element 10.8 %',
      'P P2O5 5 %',
      'K K2O 8 %',
      'Mg MgO 2 %',
    ],
    packages: ['25 kg'],
  },
  {
    name: 'a German sack that names elements with formulas',
    text: `Ossental Beerendünger
Stickstoff (N): 7 %
Phosphor (P2O5): 3 %
Kalium (K2O): 10 %
Magnesium (MgO): 2,5 %
Schwefel (SO3): 12 %
Inhalt 5 kg`,
    figures: ['N element 7 %', 'P P2O5 3 %', 'K K2O 10 %', 'Mg MgO 2.5 %', 'S SO3 12 %'],
    packages: ['5 kg'],
  },
  {
    name: 'a French sack',
    text: `Engrais de Merlevigne
Azote (N) total : 12 %
 dont azote nitrique : 5 %
 dont azote ammoniacal : 7 %
Anhydride phosphorique (P2O5) soluble : 6 %
Oxyde de potassium (K2O) : 17 %
Trioxyde de soufre (SO3) : 20 %
Poids net : 40 kg`,
    figures: [
      'N element 12 %',
      'N.nitrate element 5 %',
      'N.ammoniacal element 7 %',
      'P P2O5 6 %',
      'K K2O 17 %',
      'S SO3 20 %',
    ],
    packages: ['40 kg'],
  },
  {
    name: 'a Spanish bottle',
    text: `Abono líquido Valdearbol
Nitrógeno (N) total 8 % p/p
Nitrógeno ureico 8 %
Fósforo (P2O5) 4 %
Potasio (K2O) 6 %
Contenido neto: 5 litros`,
    figures: ['N element 8 %', 'N.urea element 8 %', 'P P2O5 4 %', 'K K2O 6 %'],
    packages: ['5 L'],
  },
  {
    name: 'an Italian sack',
    text: `Concime organico Pratolungo
Azoto (N) totale 5 %
di cui azoto organico 5 %
Anidride fosforica (P2O5) totale 3 %
Ossido di potassio (K2O) 2 %
Peso netto 25 kg`,
    figures: ['N element 5 %', 'N.waterInsoluble element 5 %', 'P P2O5 3 %', 'K K2O 2 %'],
    packages: ['25 kg'],
  },
  {
    name: 'a Dutch sack',
    text: `Tuinmest Oostwoude
Stikstof (N) totaal 7 %
Nitraatstikstof 2,5 %
Ammoniumstikstof 4,5 %
Fosforzuuranhydride (P2O5) 6 %
Kaliumoxide (K2O) 12 %
Netto inhoud 10 kg`,
    figures: ['N element 7 %', 'N.nitrate element 2.5 %', 'N.ammoniacal element 4.5 %', 'P P2O5 6 %', 'K K2O 12 %'],
    packages: ['10 kg'],
  },
  {
    name: 'a Polish sack',
    text: `Nawóz ogrodowy Zielnik
Azot (N) całkowity 10 %
Azot azotanowy 4 %
Azot amonowy 6 %
Pięciotlenek fosforu (P2O5) 8 %
Tlenek potasu (K2O) 15 %
Tlenek magnezu (MgO) 3 %
Masa netto 20 kg`,
    figures: [
      'N element 10 %',
      'N.nitrate element 4 %',
      'N.ammoniacal element 6 %',
      'P P2O5 8 %',
      'K K2O 15 %',
      'Mg MgO 3 %',
    ],
    packages: ['20 kg'],
  },
  {
    name: 'a Swedish sack in elements',
    text: `Lövåkra Trädgårdsgödsel
Kväve (N) 8 %
Fosfor (P) 3,5 %
Kalium (K) 12 %
Svavel (S) 6 %
Nettovikt 15 kg`,
    figures: ['N element 8 %', 'P element 3.5 %', 'K element 12 %', 'S element 6 %'],
    packages: ['15 kg'],
  },
  {
    name: 'a bag in three languages',
    text: `Garden feed / Gartendünger / Engrais de jardin
Nitrogen / Stickstoff / Azote (N): 6 %
Phosphate / Phosphat / Anhydride phosphorique (P2O5): 4 %
Potash / Kali / Potasse (K2O): 5 %
Net / Netto / Net: 7.5 kg`,
    figures: ['N element 6 %', 'P P2O5 4 %', 'K K2O 5 %'],
    packages: ['7.5 kg'],
  },
  {
    name: 'a feed tag',
    text: `LARKMERE ALFALFA MEAL
Crude Protein, not less than ........ 17.0%
Crude Fiber, not more than .......... 27.0%
Moisture, not more than ............. 10.0%
Net Weight 50 lb`,
    figures: ['N element 2.72 %'],
    packages: ['50 lb'],
  },
  {
    name: 'a lab slip in mg/kg with a limit of detection',
    text: `Sample: Hollow compost, as received
Total N 1.2 %
Phosphorus 2400 mg/kg
Potassium 6100 mg/kg
Cadmium < 0.2 mg/kg
Lead 12 mg/kg`,
    figures: [
      'N element 1.2 %',
      'P element 2400 mg/kg',
      'K element 6100 mg/kg',
      'Cd element <0.2 mg/kg',
      'Pb element 12 mg/kg',
    ],
    measured: true,
  },
  {
    name: 'a bag with directions that are no package',
    text: `Tomato Feed 4-2-8
N 4 % P2O5 2 % K2O 8 %
Dilute 20 mL in 5 L of water, once a week.
Covers 100 sq m.
1 L ℮`,
    figures: ['N element 4 %', 'P P2O5 2 %', 'K K2O 8 %'],
    packages: ['1 L'],
    grade: '4-2-8',
  },
  {
    name: 'several figures on a line, value first',
    text: `Meadow Green
16 % N, 8 % P2O5, 12 % K2O, 3 % MgO
20 kg net`,
    figures: ['N element 16 %', 'P P2O5 8 %', 'K K2O 12 %', 'Mg MgO 3 %'],
    packages: ['20 kg'],
  },
  {
    name: 'a lab sheet with as-received and dry columns',
    text: `Sample: Hollow heap, July
Parameter | As received | Dry matter
Moisture | 35 % | -
Nitrogen | 1.3 % | 2.0 %
Phosphorus | 0.39 % | 0.6 %
Potassium | 0.78 % | 1.2 %`,
    figures: ['N element 1.3 %', 'P element 0.39 %', 'K element 0.78 %'],
    measured: true,
  },
  {
    name: 'a lab sheet with a column for the limit of detection',
    text: `Analyte  Result  Unit  LOD
Lead  4.2  mg/kg  0.5
Cadmium  <0.1  mg/kg  0.1
Zinc 45 mg kg-1 1
Mercury BDL (LOD 0.05 mg/kg)`,
    figures: ['Pb element 4.2 mg/kg', 'Cd element <0.1 mg/kg', 'Zn element 45 mg/kg', 'Hg element <0.05 mg/kg'],
    measured: true,
  },
  {
    name: 'a label that gives each figure twice',
    text: `Steady pellets
Nitrogen 2.4 % 24 kg/t
Phosphate (P2O5) 1.1 % 11 kg/t
Potash (K2O) 8 % (6.6 % K)
Organic matter 45 %
Batch 12345 Tel +44 1632 960123
Best before 12/2027
600 kg big bag`,
    figures: ['N element 2.4 %', 'P P2O5 1.1 %', 'K K2O 8 %'],
    packages: ['600 kg'],
  },
  {
    name: 'cadmium for each kg of P2O5 is not that of the product',
    text: `Superphosphate
P2O5 46 %
Cadmium 20 mg/kg P2O5
25 kg net`,
    figures: ['P P2O5 46 %'],
    packages: ['25 kg'],
  },
  {
    name: 'the strength of a feed is no content',
    text: `Clear crystals 20-5-20
Feed at 100 ppm N
Nitrogen 20 %
Phosphate 5 %
Potash 20 %`,
    figures: ['N element 20 %', 'P P2O5 5 %', 'K K2O 20 %'],
    grade: '20-5-20',
  },
  {
    name: 'a footnote that names the coating',
    text: `Total Nitrogen* 12%
*4 % slowly available from coated urea
Soluble Potash (K2O) 6%`,
    figures: ['N element 12 %', 'N.coated element 4 %', 'K K2O 6 %'],
  },
  {
    name: 'two columns of text',
    text: `Nitrogen (N) 12 %      Iron (Fe) 0.5 %
Phosphate (P2O5) 6 %   Zinc (Zn) 0.1 %`,
    figures: ['N element 12 %', 'Fe element 0.5 %', 'P P2O5 6 %', 'Zn element 0.1 %'],
  },
  {
    name: 'traces with a lead-in unit',
    text: `Nutrient (mg/kg):
Iron 1200
Zinc 340
Boron 45`,
    figures: ['Fe element 1200 mg/kg', 'Zn element 340 mg/kg', 'B element 45 mg/kg'],
  },
  {
    name: 'an Australian bag in elements',
    text: `Typical analysis (w/w)
Nitrogen (N) 10.0%
Phosphorus (P) total 3.0%
Potassium (K) as sulphate 8.0%
Net 20kg`,
    figures: ['N element 10 %', 'P element 3 %', 'K element 8 %'],
    packages: ['20 kg'],
  },
  {
    name: 'a liquid in g/L with its density',
    text: `Nitrogen 60 g/L
Potassium 80 g/L
Specific gravity 1.2
Contenuto: 1,5 litri`,
    figures: ['N element 60 g/L', 'K element 80 g/L'],
    packages: ['1.5 L'],
  },
];
