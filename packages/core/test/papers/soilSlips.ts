/** A whole soil report as somebody would paste it, with what a careful reader takes from it: `P 12 mg/kg olsen`. Laboratories and places are invented. */
export interface SoilPaper {
  readonly name: string;
  readonly text: string;
  readonly figures: readonly string[];
  /** Choices of a person, by line, where the paper is asked about. */
  readonly chosen?: Readonly<Record<number, string>>;
}

export const SOIL_SLIPS: readonly SoilPaper[] = [
  {
    name: 'a North American slip with ratings',
    text: `Tamarack Soil Lab
Sample ID: Garden 3        Lab No. 24-10177
Date received 03/14/2026
Soil pH (1:1 water)      6.3
Buffer pH                6.8
Organic Matter (LOI)     4.1 %
Phosphorus (Mehlich 3)   38 ppm   Optimum
Potassium (Mehlich 3)    142 ppm  Medium
Calcium (Mehlich 3)      1420 ppm High
Magnesium (Mehlich 3)    180 ppm  High
Sulfur (Mehlich 3)       12 ppm
Zinc                     3.1 ppm
CEC                      10.4 meq/100g
Base saturation: K 3.5%, Mg 14.4%, Ca 68.3%, H 13.8%
Lime recommendation: 2 tons/acre`,
    figures: [
      'pH 6.3  water',
      'organicMatter 4.1 % notSaid',
      'P 38 mg/kg mehlich3',
      'K 142 mg/kg mehlich3',
      'Ca 1420 mg/kg mehlich3',
      'Mg 180 mg/kg mehlich3',
      'S 12 mg/kg mehlich3',
      'Zn 3.1 mg/kg notSaid',
      'CEC 10.4 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'found against desired in columns',
    text: `Element         Value Found    Desired Value    Unit
Calcium         1850           2000             ppm
Magnesium       210            240              ppm
Potassium       95             150              ppm
Phosphorus      22             45               ppm
Boron           0.4            1.0              ppm`,
    figures: [
      'Ca 1850 mg/kg notSaid',
      'Mg 210 mg/kg notSaid',
      'K 95 mg/kg notSaid',
      'P 22 mg/kg notSaid',
      'B 0.4 mg/kg notSaid',
    ],
  },
  {
    name: 'a British slip with indices',
    text: `SOIL ANALYSIS REPORT
Field: Long Meadow
Analysis        Result   Guideline   Interpretation
pH              5.9      6.5         Low
Phosphorus (ppm) 18      16          (Index 2.1)
Potassium (ppm)  98      121         (Index 1.6)
Magnesium (ppm)  76      51          (Index 2.5)
Organic matter (%) 3.9   3.0`,
    figures: [
      'pH 5.9  notSaid',
      'P 18 mg/kg notSaid',
      'K 98 mg/kg notSaid',
      'Mg 76 mg/kg notSaid',
      'organicMatter 3.9 % notSaid',
    ],
  },
  {
    name: 'a German slip by CAL with classes',
    text: `Bodenuntersuchung
Untersuchungsergebnisse        Gehaltsklasse
pH-Wert (CaCl2)        6,1      C
Phosphat P2O5 (CAL)    14 mg/100g   C
Kalium K2O (CAL)       18 mg/100g   D
Magnesium Mg (CaCl2)   9 mg/100g    C
Humusgehalt            2,8 %
Bodenart: sL`,
    figures: [
      'pH 6.1  CaCl2',
      'P 61.1 mg/kg other',
      'K 149.4 mg/kg other',
      'Mg 90 mg/kg CaCl2',
      'organicMatter 2.8 % notSaid',
    ],
  },
  {
    name: 'a French slip with desirable values',
    text: `Analyse de terre
Détermination        Résultat   Unité     Valeur souhaitable
pH eau               7,2                  6,5
Matière organique    2,4        %         2,5
P2O5 Olsen           65         mg/kg     60
K2O échangeable      210        mg/kg     180
MgO échangeable      150        mg/kg     120
CEC Metson           14,2       meq/100 g`,
    figures: [
      'pH 7.2  water',
      'organicMatter 2.4 % notSaid',
      'P 28.37 mg/kg olsen',
      'K 174.3 mg/kg ammoniumAcetate',
      'Mg 90.46 mg/kg ammoniumAcetate',
      'CEC 14.2 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'three beds side by side, one chosen',
    text: `                 Bed 1   Bed 2   Bed 3
pH               6.1     6.8     7.2
P Olsen (mg/kg)  14      22      31
K (mg/kg)        120     180     240`,
    figures: ['pH 6.8  notSaid', 'P 22 mg/kg olsen', 'K 180 mg/kg notSaid'],
    chosen: { 1: 'Bed 2' },
  },
  {
    name: 'three beds side by side, none chosen',
    text: `                 Bed 1   Bed 2   Bed 3
pH               6.1     6.8     7.2
P Olsen (mg/kg)  14      22      31`,
    figures: [],
  },
  {
    name: 'beds as rows under a heading of names',
    text: `Sample     pH    P ppm   K ppm   Mg ppm
North bed  6.4   35      140     88`,
    figures: ['pH 6.4  notSaid', 'P 35 mg/kg notSaid', 'K 140 mg/kg notSaid', 'Mg 88 mg/kg notSaid'],
  },
  {
    name: 'an Australian slip with Colwell and cations in charge',
    text: `pH (1:5 Water)                 6.9
pH (1:5 CaCl2)                 6.1
Electrical Conductivity (1:5)  0.12 dS/m
Organic Carbon (W&B)           1.9 %
Phosphorus (Colwell)           45 mg/kg
Nitrate Nitrogen (NO3-N)       18 mg/kg
Ammonium Nitrogen (NH4-N)      3.2 mg/kg
Calcium (Amm-acet.)            8.4 cmol(+)/kg
Magnesium (Amm-acet.)          2.1 cmol(+)/kg
Potassium (Amm-acet.)          0.52 cmol(+)/kg
Sodium (Amm-acet.)             0.21 cmol(+)/kg
Sodium % of cations (ESP)      1.9 %`,
    figures: [
      'pH 6.9  water',
      'pH 6.1  CaCl2',
      'EC 0.12 mS/cm notSaid',
      'P 45 mg/kg other',
      'nitrateN 18 mg/kg notSaid',
      'ammoniumN 3.2 mg/kg notSaid',
      'Ca 8.4 cmol_c/kg ammoniumAcetate',
      'Mg 2.1 cmol_c/kg ammoniumAcetate',
      'K 0.52 cmol_c/kg ammoniumAcetate',
      'Na 0.21 cmol_c/kg ammoniumAcetate',
      'ESP 1.9 % notSaid',
    ],
  },
  {
    name: 'a saturated paste',
    text: `Saturated paste extract
pH 7.6
ECe 3.4 dS/m
Calcium 12.1 meq/L
Magnesium 6.3 meq/L
Sodium 9.8 meq/L
SAR 3.2
Boron 0.5 mg/L`,
    figures: [
      'pH 7.6  notSaid',
      'EC 3.4 mS/cm saturatedPaste',
      'Ca 12.1 mmol_c/L saturatedPaste',
      'Mg 6.3 mmol_c/L saturatedPaste',
      'Na 9.8 mmol_c/L saturatedPaste',
      'SAR 3.2  saturatedPaste',
      'B 0.5 mg/L saturatedPaste',
    ],
  },
  {
    name: 'a Spanish slip with exchangeable cations',
    text: `Análisis de suelo
Parámetro              Resultado    Unidad
pH (agua 1:2,5)        8,1
Conductividad (1:5)    0,24         dS/m
Materia orgánica       1,6          %
Fósforo Olsen          12,5         mg/kg
Potasio de cambio      0,62         meq/100 g
Calcio de cambio       18,4         meq/100 g
Magnesio de cambio     2,9          meq/100 g
Sodio de cambio        0,35         meq/100 g
Caliza total           22           %`,
    figures: [
      'pH 8.1  water',
      'EC 0.24 mS/cm notSaid',
      'organicMatter 1.6 % notSaid',
      'P 12.5 mg/kg olsen',
      'K 0.62 cmol_c/kg ammoniumAcetate',
      'Ca 18.4 cmol_c/kg ammoniumAcetate',
      'Mg 2.9 cmol_c/kg ammoniumAcetate',
      'Na 0.35 cmol_c/kg ammoniumAcetate',
      'freeLime 22 % notSaid',
    ],
  },
  {
    name: 'pounds an acre with what is wanted in brackets',
    text: `Phosphorus (P) Bray-1   44 lbs/acre  (desired 60-80)
Potassium (K)   260 lbs/acre  (desired 300)
pH 6.0 (ideal 6.5)`,
    figures: ['P 22 mg/kg bray', 'K 130 mg/kg notSaid', 'pH 6  notSaid'],
  },
  {
    name: 'a Swedish slip by the AL method with classes',
    text: `Markkartering
pH 6,4
P-AL 8,2 mg/100 g (klass IV A)
K-AL 11 mg/100 g (klass III)
Mg-AL 14 mg/100 g
Mullhalt 3,1 %`,
    figures: [
      'pH 6.4  notSaid',
      'P 82 mg/kg other',
      'K 110 mg/kg other',
      'Mg 140 mg/kg other',
      'organicMatter 3.1 % notSaid',
    ],
  },
  {
    name: 'a Dutch slip',
    text: `Grondonderzoek
Perceel: achtertuin
Resultaat                        Streeftraject
Zuurgraad (pH) 6,6               6,3 - 6,9
Organische stof 4,8 %
Fosfaat P2O5 (P-AL) 42 mg/100 g
Kalium K 88 mg/kg                70 - 110
Magnesium Mg 65 mg/kg            50 - 85`,
    figures: [
      'pH 6.6  notSaid',
      'organicMatter 4.8 % notSaid',
      'P 183.3 mg/kg other',
      'K 88 mg/kg notSaid',
      'Mg 65 mg/kg notSaid',
    ],
  },
  {
    name: 'an Italian slip',
    text: `ANALISI DEL TERRENO
pH in acqua 7,8
Sostanza organica 1,9 %
Fosforo assimilabile (P Olsen) 15 mg/kg
Potassio scambiabile (K) 160 mg/kg
Calcare totale 12 %
CSC 18 meq/100g`,
    figures: [
      'pH 7.8  water',
      'organicMatter 1.9 % notSaid',
      'P 15 mg/kg olsen',
      'K 160 mg/kg ammoniumAcetate',
      'freeLime 12 % notSaid',
      'CEC 18 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'a Polish slip in mg/dm3',
    text: `Wyniki analizy gleby
pH w H2O 6,2
Azot azotanowy N-NO3 45 mg/dm3
Fosfor P 60 mg/dm3
Potas K 150 mg/dm3
Magnez Mg 70 mg/dm3
Zasolenie 0,8 mS/cm`,
    figures: [
      'pH 6.2  water',
      'nitrateN 45 mg/L notSaid',
      'P 60 mg/L notSaid',
      'K 150 mg/L notSaid',
      'Mg 70 mg/L notSaid',
      'EC 0.8 mS/cm notSaid',
    ],
  },
  {
    name: 'several methods of one element',
    text: `Phosphorus, Bray P1: 28 ppm
Phosphorus, Mehlich-3: 46 ppm
Phosphorus, Olsen: 19 ppm`,
    figures: ['P 28 mg/kg bray', 'P 46 mg/kg mehlich3', 'P 19 mg/kg olsen'],
  },
  {
    name: 'below detection with limits',
    text: `Nitrate-N <1.0 mg/kg
Sulphate-S  ND  (LOD 2 mg/kg)
Boron (hot water) 0.3 mg/kg
Copper (DTPA) 1.1 mg/kg
Iron (DTPA) > 100 mg/kg`,
    figures: ['nitrateN <1 mg/kg notSaid', 'S <2 mg/kg notSaid', 'B 0.3 mg/kg other', 'Cu 1.1 mg/kg other'],
  },
  {
    name: 'a heading with the unit and dots',
    text: `Available nutrients (mg/kg), ammonium acetate
Potassium ....... 165
Calcium ......... 1,980
Magnesium ....... 142
Sodium .......... 21.5`,
    figures: [
      'K 165 mg/kg ammoniumAcetate',
      'Ca 1980 mg/kg ammoniumAcetate',
      'Mg 142 mg/kg ammoniumAcetate',
      'Na 21.5 mg/kg ammoniumAcetate',
    ],
  },
  {
    name: 'this year and last',
    text: `Test            2026 result   Previous result
pH              6.5           6.2
P (Olsen) mg/L  24            19
K mg/L          178           160`,
    figures: ['pH 6.5  notSaid', 'P 24 mg/L olsen', 'K 178 mg/L notSaid'],
  },
  {
    name: 'a slip in a sentence',
    text: `The lab found pH 5.6 (in water), Olsen P of 9 mg/kg and exchangeable K of 0.28 cmol/kg. Organic matter was 5.2 %.`,
    figures: ['pH 5.6  water', 'P 9 mg/kg olsen', 'K 0.28 cmol_c/kg ammoniumAcetate', 'organicMatter 5.2 % notSaid'],
  },
  {
    name: 'carbonate, bulk density and salts',
    text: `Free carbonate (CaCO3) 8.5%
Bulk density 1.31 g/cm3
Soluble salts 0.45 mmhos/cm
Exchangeable acidity 1.2 meq/100g`,
    figures: [
      'freeLime 8.5 % notSaid',
      'bulkDensity 1.31 kg/L notSaid',
      'EC 0.45 mS/cm notSaid',
      'acidity 1.2 cmol_c/kg notSaid',
    ],
  },
];
