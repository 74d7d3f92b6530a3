import type { Paper } from './paper.js';

/** Labels and sheets with an order or a unit of their own. */
export const ODD_LABELS: readonly Paper[] = [
  {
    name: 'castings with the unit before the symbol',
    text: `WORM CASTINGS (lab results, 12 March 2026)
% N = 1.42
% P = 0.61
% K = 0.95
% Ca = 2.8
ppm Fe = 5120
ppm Zn = 88
moisture = 48 %`,
    figures: [
      'N element 1.42 %',
      'P element 0.61 %',
      'K element 0.95 %',
      'Ca element 2.8 %',
      'Fe element 5120 mg/kg',
      'Zn element 88 mg/kg',
    ],
  },
  {
    name: 'soybean meal',
    text: `Feed tag: Soybean meal 48
Crude protein min. 47.5 %
Lysine min. 2.9 %
Crude fat min. 0.5 %
Crude fibre max. 3.5 %
Phosphorus 0.6 %
Net 25 kg`,
    figures: ['N element 7.6 %', 'P element 0.6 %'],
    packages: ['25 kg'],
  },
  {
    name: 'oxides and elements in two lines',
    text: `Nutrient declaration as oxides: N 6 / P2O5 8 / K2O 10 / MgO 2
In elements: P 3.5 K 8.3 Mg 1.2
(all in % of product)
pail 10 kg`,
    figures: ['N element 6 %', 'P P2O5 8 %', 'K K2O 10 %', 'Mg MgO 2 %'],
    packages: ['10 kg'],
  },
  {
    name: 'an element column and an oxide column',
    text: `Dual analysis
            Elemental   Oxide
Phosphorus  3.5%        8.0%
Potassium   8.3%        10.0%
Nitrogen    6.0%
bag 20 kg`,
    figures: ['P element 3.5 %', 'K element 8.3 %', 'N element 6 %'],
    packages: ['20 kg'],
  },
  {
    name: 'a grade whose fourth number says of what',
    text: `Ammonium sulphate 21-0-0-24S
Nitrogen 21 % as ammonium
Sulphur 24 % as sulphate
Free acid 0.03 % max
1000 kg`,
    figures: ['N element 21 %', 'S element 24 %'],
    packages: ['1000 kg'],
    grade: '21-0-0 + 24 S',
  },
  {
    name: 'urea in Italian',
    text: `Azoto (N) totale ..... 46 %
Azoto ureico ......... 46 %
Biureto .............. 1 %
50 kg netti`,
    figures: ['N element 46 %', 'N.urea element 46 %'],
    packages: ['50 kg'],
  },
  {
    name: 'a Polish bottle in one sentence',
    text: `Skład: azot całkowity (N) 8%, w tym: azot amonowy 3%, azot amidowy 5%; fosfor (P2O5) 5%; potas (K2O) 6%; mikroskładniki: bor 0,01%, miedź 0,007%, żelazo 0,02%
Pojemność: 1 l
Dawkowanie: 20 ml na 5 l wody`,
    figures: [
      'N element 8 %',
      'N.ammoniacal element 3 %',
      'N.urea element 5 %',
      'P P2O5 5 %',
      'K K2O 6 %',
      'B element 0.01 %',
      'Cu element 0.007 %',
      'Fe element 0.02 %',
    ],
    packages: ['1 L'],
  },
  {
    name: 'lime with its fineness',
    text: `Kalk
Neutralisationswert (als CaO) 50
CaCO3 88 %
MgCO3 3 %
Feinheit: 97 % < 3,15 mm
Feuchtigkeit 2 %
25 kg`,
    figures: ['Ca CaCO3 88 %', 'Mg MgCO3 3 %'],
    packages: ['25 kg'],
  },
  {
    name: 'amounts for 100 millilitres',
    text: `Per 100 ml: Nitrogen 7.0 g, P2O5 2.5 g, K2O 5.0 g
Density 1.18
500 ml bottle`,
    figures: ['N element 7 % w/v', 'P P2O5 2.5 % w/v', 'K K2O 5 % w/v'],
    packages: ['500 mL'],
  },
  {
    name: 'a grade over three lines with additions',
    text: `N-P-K
6-4-10
+ 3 MgO + 20 SO3
Stickstoff 6% (davon 5% organisch)`,
    figures: ['Mg MgO 3 %', 'S SO3 20 %', 'N element 6 %', 'N.waterInsoluble element 5 %'],
    grade: '6-4-10',
  },
  {
    name: 'four figures on one line of symbols',
    text: `Nährstoffgehalte
N 7 % P2O5 3 % K2O 6 % MgO 2 %
organische Substanz 55 %`,
    figures: ['N element 7 %', 'P P2O5 3 %', 'K K2O 6 %', 'Mg MgO 2 %'],
  },
  {
    name: 'a whole guarantee on one line',
    text: `Guaranteed Analysis: Total Nitrogen (N) 3.00% (0.20% Nitrate Nitrogen, 1.30% Ammoniacal Nitrogen, 1.50% Urea Nitrogen) Available Phosphate (P2O5) 1.00% Soluble Potash (K2O) 4.00% Iron (Fe) 0.10% 0.10% Chelated Iron`,
    figures: [
      'N element 3 %',
      'P P2O5 1 %',
      'K K2O 4 %',
      'Fe element 0.1 %',
      'N.nitrate element 0.2 %',
      'N.ammoniacal element 1.3 %',
      'N.urea element 1.5 %',
    ],
  },
  {
    name: 'two tables side by side, each with its unit',
    text: `Macronutrients (%)           Micronutrients (ppm)
N      3.2                   Fe     120
P      0.45                  Mn     85
K      2.9                   Zn     32
Ca     1.1                   B      28`,
    figures: [
      'N element 3.2 %',
      'Fe element 120 mg/kg',
      'P element 0.45 %',
      'Mn element 85 mg/kg',
      'K element 2.9 %',
      'Zn element 32 mg/kg',
      'Ca element 1.1 %',
      'B element 28 mg/kg',
    ],
  },
  {
    name: 'dry basis said once at the end',
    text: `Typical Analysis: N 2.5 – P 1.1 – K 1.8
Ca 6, Mg 0.6, S 0.4
all % on dry basis; moisture 25%`,
    figures: [
      'N element 1.875 %',
      'P element 0.825 %',
      'K element 1.35 %',
      'Ca element 4.5 %',
      'Mg element 0.45 %',
      'S element 0.3 %',
    ],
  },
  {
    name: 'amounts for each 100 g',
    text: `"Green Hollow" 4-6-3
Each 100 g contains: Nitrogen 4 g; Phosphorus (P2O5) 6 g; Potassium (K2O) 3 g
Pack: 12 x 500 g`,
    figures: ['N element 4 %', 'P P2O5 6 %', 'K K2O 3 %'],
    packages: ['6000 g'],
    grade: '4-6-3',
  },
  {
    name: 'urea with its limits',
    text: `Nitrogen ......... 46% minimum
Biuret ........... 1.2% maximum
Moisture ......... 0.5% max
Particle size 1-4 mm: 90%
50kg`,
    figures: ['N element 46 %'],
    packages: ['50 kg'],
  },
  {
    name: 'oxide and element with each other in brackets',
    text: `Sulphate of Potash
K2O 50% (K 41.5%)
S 18% (SO3 45%)
Chloride (Cl) max 1%
Guaranteed solubility 99 %`,
    figures: ['K K2O 50 %', 'S element 18 %', 'Cl element 0–1 %'],
  },
  {
    name: 'weight by volume in brackets',
    text: `Total Nitrogen   :   8 % m/m   (10.4 % m/v)
Phosphorus P2O5  :   4 % m/m   ( 5.2 % m/v)
Potassium K2O    :   6 % m/m   ( 7.8 % m/v)
pH 6.5
Specific gravity 1.30 at 20 C`,
    figures: ['N element 8 %', 'P P2O5 4 %', 'K K2O 6 %'],
  },
  {
    name: 'amounts in a kilogram in German',
    text: `1 kg enthält: 60 g N, 30 g P2O5, 80 g K2O
Füllmenge 2,5 kg`,
    figures: ['N element 6 %', 'P P2O5 3 %', 'K K2O 8 %'],
    packages: ['2.5 kg'],
  },
  {
    name: 'figures joined with plus signs',
    text: `Contains 16% N + 16% P2O5 + 16% K2O
Net: 25 KG`,
    figures: ['N element 16 %', 'P P2O5 16 %', 'K K2O 16 %'],
    packages: ['25 kg'],
  },
];
