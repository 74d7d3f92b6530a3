import type { SoilPaper } from './soilSlips.js';

/** Soil reports as long as laboratories print them. */
export const LONG_SLIPS: readonly SoilPaper[] = [
  {
    name: 'a slip with guidelines, indices and empty cells',
    text: `SOIL TEST REPORT                               Report No: R24-0917
Grower: Willow End Allotments                  Date: 11/02/2024
Sample depth: 0-15 cm          Texture: Loam
Extractable nutrients

Analysis             Result   Units      Guideline    Interpretation
pH (water)           5.9      -          6.5          Low
Phosphorus (Olsen)   18       mg/l       16-25        Index 2
Potassium            155      mg/l       121-180      Index 2-
Magnesium            92       mg/l       51-100       Index 2
Calcium              1420     mg/l       1600         Slightly low
Sulphate-S           6.1      mg/kg      10           Low
Boron (hot water)    0.8      mg/l       1.6          Low
Copper (EDTA)        4.4      mg/l       4.1          Normal
Zinc (EDTA)          5.9      mg/l       4.1          Normal
Manganese            48       mg/kg      -            
Organic matter LOI   6.2      %w/w
CEC                  14.2     meq/100g
Available N 0-90cm   64 kg/ha
Lime requirement: arable 4 t/ha`,
    figures: [
      'pH 5.9  water',
      'P 18 mg/L olsen',
      'K 155 mg/L notSaid',
      'Mg 92 mg/L notSaid',
      'Ca 1420 mg/L notSaid',
      'S 6.1 mg/kg notSaid',
      'B 0.8 mg/L other',
      'Cu 4.4 mg/L other',
      'Zn 5.9 mg/L other',
      'Mn 48 mg/kg notSaid',
      'organicMatter 6.2 % notSaid',
      'CEC 14.2 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'three beds with desired and found below each other',
    text: `SOIL AUDIT
                        Bed A      Bed B     Bed C
Total Exchange Capacity 11.32      8.90      15.10
pH of soil sample       6.4        5.7       7.2
Organic matter, percent 4.9        3.1       6.6
ANIONS
Sulfur, ppm             14         9         22
Mehlich III phosphorous, lbs/acre (as P2O5)   312   140   880
EXCHANGEABLE CATIONS (lbs/acre)
Calcium   desired   3078  2420  4107
          found     3220  1890  4800
Magnesium desired   326   256   435
          found     402   180   520
Potassium desired   353   277   471
          found     290   201   610
Sodium              40    31    66
BASE SATURATION %
Calcium (60 to 70%)     71.1   53.1  79.5
Magnesium (10 to 20%)   14.8   8.4   14.4
Potassium (2 to 5%)     3.28   2.9   5.2
Sodium (.5 to 3%)       0.77   0.76  0.95
Other bases             4.9    5.6   0
Exchangeable hydrogen   5.1    29.2  0
TRACE ELEMENTS
Boron (ppm)             0.7    0.4   1.1
Iron (ppm)              180    210   96
Manganese (ppm)         44     30    61
Copper (ppm)            2.9    2.1   3.3
Zinc (ppm)              9.1    3.2   12.8`,
    figures: [
      'CEC 11.32 cmol_c/kg notSaid',
      'pH 6.4  notSaid',
      'organicMatter 4.9 % notSaid',
      'S 14 mg/kg notSaid',
      'P 68.08 mg/kg mehlich3',
      'Ca 1610 mg/kg ammoniumAcetate',
      'Mg 201 mg/kg ammoniumAcetate',
      'K 145 mg/kg ammoniumAcetate',
      'Na 20 mg/kg ammoniumAcetate',
      'B 0.7 mg/kg notSaid',
      'Fe 180 mg/kg notSaid',
      'Mn 44 mg/kg notSaid',
      'Cu 2.9 mg/kg notSaid',
      'Zn 9.1 mg/kg notSaid',
    ],
    chosen: { 2: 'Bed A' },
  },
  {
    name: 'a German slip with classes and targets',
    text: `Bodenuntersuchung Hausgarten
Entnahmetiefe 0-30 cm, Bodenart: sL (lehmiger Sand)
pH-Wert (CaCl2)            6,1     Ziel 6,3
Phosphat P2O5 (CAL)        38 mg/100 g     Gehaltsklasse E
Kali K2O (CAL)             12 mg/100 g     Gehaltsklasse C
Magnesium (CaCl2)          9 mg/100 g      Gehaltsklasse D
Bor                        0,55 mg/kg
Humus                      3,8 %
Gesamt-N                   0,21 %
C/N-Verhältnis             10,5
Nmin (0-30 cm)             42 kg N/ha
Salzgehalt                 85 mg KCl/100 g
Kalkbedarf 15 dt CaO/ha`,
    figures: [
      'pH 6.1  CaCl2',
      'P 165.8 mg/kg other',
      'K 99.62 mg/kg other',
      'Mg 90 mg/kg CaCl2',
      'B 0.55 mg/kg notSaid',
      'organicMatter 3.8 % notSaid',
    ],
  },
  {
    name: 'a French analysis with ranges to compare with',
    text: `ANALYSE DE TERRE
Parcelle : Potager haut      Profondeur : 25 cm
Granulométrie : argile 18,2 %  limons fins 24,1 %  limons grossiers 22,0 %  sables fins 20,3 %  sables grossiers 15,4 %
Matière organique : 34,2 g/kg     (souhaitable 25 à 30)
pH eau 7,9   pH KCl 7,2   Calcaire total 86 g/kg   Calcaire actif 21 g/kg
CEC Metson 13,4 cmol+/kg
P2O5 Olsen 0,142 g/kg   (0,080 - 0,120)
K2O échangeable 0,415 g/kg   (0,200 - 0,280)
MgO échangeable 0,190 g/kg
CaO échangeable 9,80 g/kg
Na2O 0,035 g/kg
Cuivre EDTA 3,1 mg/kg   Zinc EDTA 4,0 mg/kg   Manganèse EDTA 31 mg/kg   Fer EDTA 52 mg/kg
Bore eau chaude 0,72 mg/kg`,
    figures: [
      'organicMatter 3.42 % notSaid',
      'pH 7.9  water',
      'pH 7.2  KCl',
      'freeLime 8.6 % notSaid',
      'CEC 13.4 cmol_c/kg notSaid',
      'P 61.97 mg/kg olsen',
      'K 344.5 mg/kg ammoniumAcetate',
      'Mg 114.6 mg/kg ammoniumAcetate',
      'Ca 7004 mg/kg ammoniumAcetate',
      'Na 25.97 mg/kg notSaid',
      'Cu 3.1 mg/kg other',
      'Zn 4 mg/kg other',
      'Mn 31 mg/kg other',
      'Fe 52 mg/kg other',
      'B 0.72 mg/kg other',
    ],
  },
  {
    name: 'a Swedish slip with units at the end of the line',
    text: `Jordanalys, provplats: Kolonilott 14
pH(H2O): 6,4
P-AL 12 mg/100 g (klass IV A)   K-AL 18 mg/100 g (klass IV)
Mg-AL 14   Ca-AL 210 mg/100 g
K/Mg-kvot 1,3
P-HCl 71   K-HCl 150 mg/100g
Cu-HCl 9 mg/kg
Mullhalt 4,5 %   Lerhalt 12 %
Bor 0,6 mg/kg`,
    figures: [
      'pH 6.4  water',
      'P 120 mg/kg other',
      'K 180 mg/kg other',
      'Mg 140 mg/kg other',
      'Ca 2100 mg/kg other',
      'P 710 mg/kg other',
      'K 1500 mg/kg other',
      'Cu 9 mg/kg other',
      'organicMatter 4.5 % notSaid',
      'B 0.6 mg/kg notSaid',
    ],
  },
  {
    name: 'a pot medium with acceptable ranges',
    text: `Saturated Media Extract (SME)         Sample: bench 4 tomato
pH 5.8     Soluble salts 2.4 mS/cm
Nutrient      ppm    Acceptable range
NO3-N         88     40-180
NH4-N         4.1    0-20
P             9.5    5-50
K             142    60-220
Ca            120    90-250
Mg            41     40-100
Na            38     <69
Cl            22
Fe            0.9    0.3-3.0
B             0.11   0.05-0.5`,
    figures: [
      'pH 5.8  notSaid',
      'EC 2.4 mS/cm notSaid',
      'nitrateN 88 mg/kg notSaid',
      'ammoniumN 4.1 mg/kg notSaid',
      'P 9.5 mg/kg notSaid',
      'K 142 mg/kg notSaid',
      'Ca 120 mg/kg notSaid',
      'Mg 41 mg/kg notSaid',
      'Na 38 mg/kg notSaid',
      'Fe 0.9 mg/kg notSaid',
      'B 0.11 mg/kg notSaid',
    ],
  },
  {
    name: 'a slip with two pH and methods before a colon',
    text: `Soil Analysis Results — Sample 3 (raised bed)
1:5 soil:water
pH (1:5 water) 6.82; pH (1:5 CaCl2) 6.10; EC 0.21 dS/m
Nitrate nitrogen 31 mg/kg, ammonium nitrogen 3 mg/kg
Phosphorus (Colwell) 148 mg/kg; PBI 92; Potassium (Colwell) 240 mg/kg
Sulfur (KCl40) 19.5 mg/kg
Organic Carbon (W&B) 3.4 %
Exchangeable cations (meq/100g): Ca 12.1 Mg 2.9 K 0.61 Na 0.22 Al <0.02
ECEC 15.8
Ca:Mg 4.2
DTPA: Cu 2.1, Zn 8.8, Mn 19, Fe 66 mg/kg
Boron (hot CaCl2) 1.3 mg/kg`,
    figures: [
      'pH 6.82  water',
      'pH 6.1  CaCl2',
      'EC 0.21 mS/cm water',
      'nitrateN 31 mg/kg notSaid',
      'ammoniumN 3 mg/kg notSaid',
      'P 148 mg/kg other',
      'K 240 mg/kg other',
      'S 19.5 mg/kg other',
      'Ca 12.1 cmol_c/kg ammoniumAcetate',
      'Mg 2.9 cmol_c/kg ammoniumAcetate',
      'K 0.61 cmol_c/kg ammoniumAcetate',
      'Na 0.22 cmol_c/kg ammoniumAcetate',
      'CEC 15.8 cmol_c/kg notSaid',
      'Cu 2.1 mg/kg other',
      'Zn 8.8 mg/kg other',
      'Mn 19 mg/kg other',
      'Fe 66 mg/kg other',
      'B 1.3 mg/kg other',
    ],
  },
  {
    name: 'comma-separated cells with a row for each bed',
    text: `Lab no,Field,Depth (in),pH 1:1,Bray P-1 (ppm),K (ppm),Mg (ppm),Ca (ppm),OM %,CEC (meq/100 g),Zn DTPA (ppm)
1041,North bed,0-6,6.1,44,181,210,1650,3.9,12.4,2.2
1042,South bed,0-6,6.7,102,260,305,2310,5.2,16.0,4.7`,
    figures: [
      'pH 6.7  notSaid',
      'P 102 mg/kg bray',
      'K 260 mg/kg notSaid',
      'Mg 305 mg/kg notSaid',
      'Ca 2310 mg/kg notSaid',
      'organicMatter 5.2 % notSaid',
      'CEC 16 cmol_c/kg notSaid',
      'Zn 4.7 mg/kg other',
    ],
    chosen: { 1: '1042 South bed 0-6' },
  },
];
