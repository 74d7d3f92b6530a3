import type { Paper } from './paper.js';

/** Sheets of laboratories on products, and feed tags. */
export const LAB_SHEETS: readonly Paper[] = [
  {
    name: 'as received and dry with a unit column',
    text: `CERTIFICATE OF ANALYSIS
Sample: Cattle manure compost, heap 2
Report date: 2026-04-14
Parameter                Unit     As received   Dry basis
Dry matter               %        41.2          100
Total nitrogen           %        0.78          1.89
Ammonium-N               mg/kg    210           510
Total phosphorus (P)     %        0.25          0.61
Total potassium (K)      %        0.66          1.60
Copper                   mg/kg    14.8          36
Zinc                     mg/kg    62            150
pH (1:5)                          8.1
C:N ratio                         14`,
    figures: [
      'N element 0.78 %',
      'N.ammoniacal element 210 mg/kg',
      'P element 0.25 %',
      'K element 0.66 %',
      'Cu element 14.8 mg/kg',
      'Zn element 62 mg/kg',
    ],
    measured: true,
  },
  {
    name: 'dry figures only, with the moisture told',
    text: `All results on dry matter
Moisture 60 %
Nitrogen 2.5 %
Phosphorus (P2O5) 1.5 %
Potassium (K2O) 2.0 %
Cadmium 0.5 mg/kg`,
    figures: ['N element 1 %', 'P P2O5 0.6 %', 'K K2O 0.8 %', 'Cd element 0.2 mg/kg'],
    measured: true,
  },
  {
    name: 'results with uncertainty and method numbers',
    text: `Parameter        Result   Uncertainty   Unit    Method
Nitrogen total   4.12     ±0.20         %       EN 13654-1
Phosphorus P     1.05     ±0.06         %       EN 13650
Potassium K      2.31     ±0.12         %       EN 13650
Lead Pb          3.4      ±0.5          mg/kg   EN 13650`,
    figures: ['N element 4.12 %', 'P element 1.05 %', 'K element 2.31 %', 'Pb element 3.4 mg/kg'],
    measured: true,
  },
  {
    name: 'metals below their limits of detection',
    text: `Element   Result (mg/kg)   LOD
Arsenic   ND               0.5
Cadmium   0.21             0.05
Lead      <1.0             1.0
Mercury   ND               0.02
Nickel    6.4              0.5`,
    figures: [
      'As element <0.5 mg/kg',
      'Cd element 0.21 mg/kg',
      'Pb element <1 mg/kg',
      'Hg element <0.02 mg/kg',
      'Ni element 6.4 mg/kg',
    ],
    measured: true,
  },
  {
    name: 'a German sheet with permitted values beside',
    text: `Prüfbericht Nr. 2026-0417
Parameter      Einheit       Messwert   Grenzwert
Blei           mg/kg TS      32         150
Cadmium        mg/kg TS      0,4        1,5
Chrom          mg/kg TS      18         100
Nickel         mg/kg TS      12         50
Trockensubstanz %            58`,
    figures: ['Pb element 18.56 mg/kg', 'Cd element 0.232 mg/kg', 'Cr element 10.44 mg/kg', 'Ni element 6.96 mg/kg'],
    measured: true,
  },
  {
    name: 'a feed tag',
    text: `ALFALFA MEAL
GUARANTEED ANALYSIS
Crude Protein, not less than ............ 17.0%
Crude Fat, not less than ................. 1.5%
Crude Fiber, not more than .............. 30.0%
Ash, not more than ...................... 12.0%
NET WEIGHT 50 LBS (22.68 KG)`,
    figures: ['N element 2.72 %'],
    packages: ['50 lb'],
  },
  {
    name: 'a French feed tag',
    text: `TOURTEAU DE COLZA
Constituants analytiques :
Protéine brute 34 %
Matières grasses brutes 3,5 %
Cellulose brute 12 %
Cendres brutes 7 %
Humidité 11 %
Calcium 0,75 %
Phosphore 1,05 %
Poids net 25 kg`,
    figures: ['N element 5.44 %', 'Ca element 0.75 %', 'P element 1.05 %'],
    packages: ['25 kg'],
  },
  {
    name: 'a German feed tag in one line',
    text: `Inhaltsstoffe: Rohprotein 44,0 %, Rohfett 1,8 %, Rohfaser 6,0 %, Rohasche 6,5 %, Calcium 0,3 %, Phosphor 0,65 %, Natrium 0,02 %
Inhalt: 20 kg`,
    figures: ['N element 7.04 %', 'Ca element 0.3 %', 'P element 0.65 %', 'Na element 0.02 %'],
    packages: ['20 kg'],
  },
  {
    name: 'liquid feed in mg per litre with a lead-in',
    text: `Nutrient solution, ready to use (mg/L):
NO3-N 180
NH4-N 15
P 45
K 260
Ca 170
Mg 48
Fe 2.5
Zn 0.3`,
    figures: [
      'N.nitrate element 0.18 g/L',
      'N.ammoniacal element 0.015 g/L',
      'P element 0.045 g/L',
      'K element 0.26 g/L',
      'Ca element 0.17 g/L',
      'Mg element 0.048 g/L',
      'Fe element 0.0025 g/L',
      'Zn element 0.0003 g/L',
    ],
  },
  {
    name: 'water extract beside totals',
    text: `Total (aqua regia), mg/kg
Phosphorus 4200
Potassium 8800
Water extract, mg/kg
Phosphorus 260
Potassium 5100`,
    figures: ['P element 4200 mg/kg', 'K element 8800 mg/kg', 'P element 260 mg/kg', 'K element 5100 mg/kg'],
    measured: true,
  },
  {
    name: 'two samples side by side and one chosen',
    text: `Analysis         Sample A   Sample B
Nitrogen (%)     1.2        1.6
P2O5 (%)         0.8        0.9
K2O (%)          1.1        1.4`,
    figures: ['N element 1.6 %', 'P P2O5 0.9 %', 'K K2O 1.4 %'],
    measured: true,
    chosen: { 1: 'Sample B' },
  },
  {
    name: 'two samples side by side and none chosen',
    text: `Analysis         Sample A   Sample B
Nitrogen (%)     1.2        1.6
P2O5 (%)         0.8        0.9`,
    figures: [],
    measured: true,
  },
  {
    name: 'a row for each sample',
    text: `Sample       N %    P2O5 %   K2O %
Heap 1       1.10   0.70     1.30`,
    figures: ['N element 1.1 %', 'P P2O5 0.7 %', 'K K2O 1.3 %'],
    measured: true,
  },
  {
    name: 'kilograms per tonne and per cubic metre',
    text: `Slurry, per tonne fresh
Total N 4.6 kg/t
NH4-N 2.8 kg/t
P2O5 1.9 kg/t
K2O 5.2 kg/t
Dry matter 6.5 %`,
    figures: ['N element 4.6 g/kg', 'N.ammoniacal element 2.8 g/kg', 'P P2O5 1.9 g/kg', 'K K2O 5.2 g/kg'],
    measured: true,
  },
  {
    name: 'pounds a ton',
    text: `Poultry litter, as received
Total nitrogen 62 lb/ton
Phosphate (P2O5) 58 lb/ton
Potash (K2O) 46 lb/ton
Moisture 24%`,
    figures: ['N element 31 g/kg', 'P P2O5 29 g/kg', 'K K2O 23 g/kg'],
    measured: true,
  },
  {
    name: 'trace and not found',
    text: `Wood ash, mg/kg
Cadmium 3.1
Mercury n.n. (< 0,05)
Boron traces
Zinc 420`,
    figures: ['Cd element 3.1 mg/kg', 'Hg element <0.05 mg/kg', 'Zn element 420 mg/kg'],
    measured: true,
  },
  {
    name: 'text in two columns',
    text: `Total nitrogen (N)   12.0%      Magnesium (MgO)   2.0%
Phosphate (P2O5)      6.0%      Sulphur (SO3)    12.5%
Potash (K2O)         18.0%      Boron (B)         0.02%`,
    figures: ['N element 12 %', 'P P2O5 6 %', 'K K2O 18 %', 'Mg MgO 2 %', 'S SO3 12.5 %', 'B element 0.02 %'],
  },
  {
    name: 'elemental said once',
    text: `Declared as elements [elemental], % w/w
Phosphate 1.3
Potash 8.3
Magnesium 1.8`,
    figures: ['P element 1.3 %', 'K element 8.3 %', 'Mg element 1.8 %'],
  },
  {
    name: 'a broken line in the middle of a name',
    text: `Phosphorus pentoxide (P2O5) soluble in neutral ammonium
citrate and water 8.0 %
Potassium oxide (K2O) soluble
in water 12.0 %`,
    figures: ['P P2O5 8 %', 'K K2O 12 %'],
  },
  {
    name: 'capitals without brackets',
    text: `TOTAL NITROGEN 10%
AVAILABLE PHOSPHATE 15%
SOLUBLE POTASH 10%
CALCIUM (CA) 4%
MAGNESIUM (MG) 1%
IRON (FE) 0.5%
NET WT 4 LB`,
    figures: ['N element 10 %', 'P P2O5 15 %', 'K K2O 10 %', 'Ca element 4 %', 'Mg element 1 %', 'Fe element 0.5 %'],
    packages: ['4 lb'],
  },
  {
    name: 'a compost sheet with dashes for empty cells',
    measured: true,
    text: `Substrate Lab Report                                   Report no. 2024-11873
Client: Fenmoor Nursery                Received: 14/03/2024   Reported: 21/03/2024
Sample: Green waste compost, windrow 7
Method: EN 13652 / EN 13651

Parameter                    Unit          As received      Dry matter     LOD
------------------------------------------------------------------------------
Dry matter                   %             62.4             -              0.1
Organic matter (LOI)         %             22.9             36.7           0.5
Total nitrogen (Dumas)       %             0.93             1.49           0.01
Total phosphorus (P)         mg/kg         1930             3093           10
Total potassium (K)          mg/kg         5180             8301           10
Total magnesium (Mg)         mg/kg         2210             3542           10
Total calcium (Ca)           %             1.84             2.95           0.01
Ammonium-N                   mg/l          41               -              1
Nitrate-N                    mg/l          <1               -              1
Copper (Cu)                  mg/kg         30.1             48.2           0.5
Zinc (Zn)                    mg/kg         109              175            1
Lead (Pb)                    mg/kg         41               65.7           1
Cadmium (Cd)                 mg/kg         0.29             0.46           0.05
Mercury (Hg)                 mg/kg         ND               ND             0.05
Nickel (Ni)                  mg/kg         11.6             18.6           0.5
Chromium (Cr)                mg/kg         17.2             27.6           0.5
pH (1:5)                                   8.2
Conductivity (1:5)           uS/cm         1130
C:N ratio                                  14.3
Bulk density                 g/l           580`,
    figures: [
      'N element 0.93 %',
      'P element 1930 mg/kg',
      'K element 5180 mg/kg',
      'Mg element 2210 mg/kg',
      'Ca element 1.84 %',
      'N.ammoniacal element 0.041 g/L',
      'N.nitrate element <0.001 g/L',
      'Cu element 30.1 mg/kg',
      'Zn element 109 mg/kg',
      'Pb element 41 mg/kg',
      'Cd element 0.29 mg/kg',
      'Hg element <0.05 mg/kg',
      'Ni element 11.6 mg/kg',
      'Cr element 17.2 mg/kg',
    ],
  },
  {
    name: 'a manure sheet in per cent and pounds a ton',
    measured: true,
    text: `Dairy Cow Manure, solid - ANALYSIS
Lab ID: 8841-3        Sampled 3-Oct-2023
                      % as-is   % dry    lb/ton as-is
Moisture              71.3
Solids                28.7
Total N               0.58      2.02     11.6
Ammonium-N            0.11      0.38     2.2
Organic N             0.47      1.64     9.4
P                     0.14      0.49     2.8
P2O5                  0.32      1.12     6.4
K                     0.42      1.46     8.4
K2O                   0.51      1.76     10.1
Ca                    0.61      2.13     12.2
Mg                    0.19      0.66     3.8
S                     0.09      0.31     1.8
Na                    0.10      0.35     2.0
Zn, ppm               52        181      0.10
Cu, ppm               11        38       0.02
Carbon                11.9      41.5
C:N ratio 20.5:1
pH 8.1`,
    figures: [
      'N element 0.58 %',
      'N.ammoniacal element 0.11 %',
      'N.waterInsoluble element 0.47 %',
      'P element 0.14 %',
      'K element 0.42 %',
      'Ca element 0.61 %',
      'Mg element 0.19 %',
      'S element 0.09 %',
      'Na element 0.1 %',
      'Zn element 52 mg/kg',
      'Cu element 11 mg/kg',
    ],
  },
];
