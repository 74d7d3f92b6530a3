import type { SoilPaper } from './soilSlips.js';

/** Soil reports with units, columns and methods of many places. */
export const MORE_SLIPS: readonly SoilPaper[] = [
  {
    name: 'quick-test units of one country',
    text: `Quick test report (MAF units)
pH 5.8
Olsen P (ug/mL) 21
Potassium (QT) 9
Calcium (QT) 7
Sulphate-S mg/kg 11
CEC me/100g 18
Base saturation % 62
Volume weight g/mL 0.95`,
    figures: [
      'pH 5.8  notSaid',
      'P 21 mg/L olsen',
      'S 11 mg/kg notSaid',
      'CEC 18 cmol_c/kg notSaid',
      'bulkDensity 0.95 kg/L notSaid',
    ],
  },
  {
    name: 'pounds an acre beside ppm',
    text: `SOIL TEST RESULTS           lbs/acre    ppm     Rating
Phosphorus (M3)              92          46      High
Potassium (M3)               318         159     Optimum
Calcium (M3)                 3240        1620    High
Magnesium (M3)               410         205     High
pH 6.7     Buffer 7.0    OM 3.9%    CEC 11.8`,
    figures: [
      'P 46 mg/kg mehlich3',
      'K 159 mg/kg mehlich3',
      'Ca 1620 mg/kg mehlich3',
      'Mg 205 mg/kg mehlich3',
      'pH 6.7  notSaid',
      'organicMatter 3.9 % notSaid',
      'CEC 11.8 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'a German slip with classes and a lime need',
    text: `Bodenprobe Nr. 12, Tiefe 0-30 cm
pH (CaCl2): 5,4
P2O5: 11 mg/100g Boden (Klasse B)
K2O: 23 mg/100g Boden (Klasse D)
MgO: 8 mg/100 g
Nmin (0-30): 24 kg/ha
Humus: 2,1 %
Kalkbedarf: 15 dt CaO/ha`,
    figures: [
      'pH 5.4  CaCl2',
      'P 48.01 mg/kg notSaid',
      'K 190.9 mg/kg notSaid',
      'Mg 48.24 mg/kg notSaid',
      'organicMatter 2.1 % notSaid',
    ],
  },
  {
    name: 'a French slip with the unit before the result',
    text: `Paramètres            Unités     Résultats   Références
pH eau                -          6,1         6,2 - 6,8
Carbone organique     g/kg       14,5
Matière organique     %          2,5         > 2,0
CEC                   cmol+/kg   9,8
P2O5 (Joret-Hébert)   g/kg       0,18        0,15 - 0,20
K2O                   g/kg       0,21        0,18
MgO                   g/kg       0,12        0,10`,
    figures: [
      'pH 6.1  water',
      'organicMatter 2.5 % notSaid',
      'CEC 9.8 cmol_c/kg notSaid',
      'P 78.56 mg/kg other',
      'K 174.3 mg/kg notSaid',
      'Mg 72.37 mg/kg notSaid',
    ],
  },
  {
    name: 'a slip of a garden with its texture',
    text: `Garden soil
pH in water: 7.0
Salinity (EC 1:2): 0.35 mS/cm
NO3-N: 22 ppm
P (Morgan): 6.5 ppm
K (Morgan): 110 ppm
Lead (total) 85 mg/kg  - background 20
Texture: sandy loam (62% sand, 28% silt, 10% clay)`,
    figures: [
      'pH 7  water',
      'EC 0.35 mS/cm notSaid',
      'nitrateN 22 mg/kg notSaid',
      'P 6.5 mg/kg other',
      'K 110 mg/kg other',
    ],
  },
  {
    name: 'two depths side by side',
    text: `                     0-15 cm     15-30 cm
pH (CaCl2)           5.2         4.9
P Colwell mg/kg      34          18
Al exch. cmol/kg     0.3         0.8`,
    figures: ['pH 4.9  CaCl2', 'P 18 mg/kg other'],
    chosen: { 1: '15-30 cm' },
  },
  {
    name: 'ratios and shares of sodium',
    text: `Ca/Mg ratio 6.2
K/Mg ratio 0.4
Ca 1240 mg/kg
Mg 120 mg/kg
Sodium 35 mg/kg
Exchangeable Na % (ESP) 1.8`,
    figures: ['Ca 1240 mg/kg notSaid', 'Mg 120 mg/kg notSaid', 'Na 35 mg/kg notSaid', 'ESP 1.8 % ammoniumAcetate'],
  },
  {
    name: 'methods behind the values',
    text: `Soil analysis (all values mg/kg unless stated)
pH: 6.5
P: 42 (Bray II)
K: 201
B: 0.6 (hot water)
Zn: 2.4 (DTPA)
Mn: 31 (DTPA)
OM: 5.1 %`,
    figures: [
      'pH 6.5  notSaid',
      'P 42 mg/kg other',
      'K 201 mg/kg notSaid',
      'B 0.6 mg/kg other',
      'Zn 2.4 mg/kg other',
      'Mn 31 mg/kg other',
      'organicMatter 5.1 % notSaid',
    ],
  },
  {
    name: 'the rows of a CSV with a method column',
    text: `Analyte,Result,Units,Method
pH,6.2,,CaCl2
Phosphorus,27,mg/kg,Olsen
Potassium,0.45,cmol(+)/kg,NH4OAc
Electrical Conductivity,0.18,dS/m,1:5
Organic Carbon,2.3,%,Walkley Black`,
    figures: ['pH 6.2  CaCl2', 'P 27 mg/kg olsen', 'K 0.45 cmol_c/kg ammoniumAcetate', 'EC 0.18 mS/cm notSaid'],
  },
  {
    name: 'shares and contents against the ideal',
    text: `Element    Found    Ideal
Ca %       62       68
Mg %       16       12
K %        2.8      4.0
Na %       1.1      1.0
H %        15       12
Ca ppm     1488     1632
Mg ppm     233      173
pH         6.1      6.4`,
    figures: ['Ca 1488 mg/kg notSaid', 'Mg 233 mg/kg notSaid', 'pH 6.1  notSaid'],
  },
  {
    name: 'a Spanish extract in mg per litre',
    text: `Nitrato (NO3) 96 mg/l
Fosfato (P) 4 mg/l
Potasio 38 mg/l
pH 7,4
Conductividad 1.200 µS/cm`,
    figures: [
      'nitrateN 21.69 mg/L notSaid',
      'P 4 mg/L notSaid',
      'K 38 mg/L notSaid',
      'pH 7.4  notSaid',
      'EC 1.2 mS/cm notSaid',
    ],
  },
  {
    name: 'both Bray tests in one sentence',
    text: `Test value: Phosphorus P1 (weak Bray) 24 ppm M, P2 (strong Bray) 52 ppm H
Potassium 144 ppm, Magnesium 310 ppm, Calcium 1980 ppm
Soil pH 6.4, buffer index 6.8, CEC 13.9 meq/100g
Percent base saturation: %K 2.7 %Mg 18.6 %Ca 71.2 %H 7.5`,
    figures: [
      'P 24 mg/kg bray',
      'P 52 mg/kg other',
      'K 144 mg/kg notSaid',
      'Mg 310 mg/kg notSaid',
      'Ca 1980 mg/kg notSaid',
      'pH 6.4  notSaid',
      'CEC 13.9 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'an Italian slip in oxides',
    text: `Azoto totale 1,5 g/kg
Fosforo assimilabile (P2O5 Olsen) 48 mg/kg
Potassio scambiabile (K2O) 190 mg/kg
Magnesio scambiabile (MgO) 160 mg/kg
Calcare attivo 3,2 %
Rapporto C/N 9,8`,
    figures: ['P 20.95 mg/kg olsen', 'K 157.7 mg/kg ammoniumAcetate', 'Mg 96.49 mg/kg ammoniumAcetate'],
  },
];
