import type { Paper } from './paper.js';

/** Soil reports whose parts have to be weighed against each other. */
export const WEIGHED_SLIPS: readonly Paper[] = [
  {
    name: 'an orchard slip with optimum and base saturation',
    text: `Thornvale Soil Services — Sample 3 of 5: "Orchard Nth"
Extraction: Mehlich-3 (ICP)
Soil pH 6.2    Buffer pH 6.8    OM 3.4 %   CEC 11.8 meq/100g
                ppm     Rating      Optimum
Phosphorus      48      M           50-75
Potassium       152     M           150-220
Magnesium       171     H           100-150
Calcium         1540    M           1300-1700
Sulfur          9       L           15-20
Boron           0.4     L           0.6-1.2
Zinc            3.1     M           2-5
Manganese       28      M           20-50
Base Saturation %   K 3.3  Mg 12.1  Ca 65.3  H 19.3
Lime to pH 6.5: 30 lb/1000 sq ft`,
    figures: [
      'pH 6.2  notSaid',
      'organicMatter 3.4 % notSaid',
      'CEC 11.8 cmol_c/kg notSaid',
      'P 48 mg/kg mehlich3',
      'K 152 mg/kg mehlich3',
      'Mg 171 mg/kg mehlich3',
      'Ca 1540 mg/kg mehlich3',
      'S 9 mg/kg mehlich3',
      'B 0.4 mg/kg mehlich3',
      'Zn 3.1 mg/kg mehlich3',
      'Mn 28 mg/kg mehlich3',
    ],
  },
  {
    name: 'a German garden slip with classes',
    text: `Bodenuntersuchung  Labor Weidenau   Probe 1: Gemüsebeet 0-30 cm
Bodenart: sandiger Lehm
pH-Wert (CaCl2)       6,3     anzustreben 6,0 - 6,5
Phosphat P2O5 (CAL)   28 mg/100 g   Gehaltsklasse D
Kali K2O (CAL)        19 mg/100 g   Gehaltsklasse C
Magnesium Mg (CaCl2)  11 mg/100 g   Gehaltsklasse C
Humus 3,8 %
Bor 0,6 mg/kg`,
    figures: [
      'pH 6.3  CaCl2',
      'P 122.2 mg/kg other',
      'K 157.7 mg/kg other',
      'Mg 110 mg/kg CaCl2',
      'organicMatter 3.8 % notSaid',
      'B 0.6 mg/kg notSaid',
    ],
  },
  {
    name: 'an Italian report, an oxide behind its unit',
    text: `ANALISI DEL TERRENO
Tessitura franco argillosa
pH in acqua 7,8
Calcare totale 18 %   Calcare attivo 6,5 %
Sostanza organica 2,1 %
Azoto totale 1,3 g/kg
Fosforo assimilabile (Olsen) P 22 mg/kg
Potassio scambiabile K2O 310 mg/kg
CSC 21,4 meq/100g
Magnesio scambiabile 245 mg/kg MgO
Calcio scambiabile 4850 mg/kg
Ferro (DTPA) 14,2  Manganese 6,1  Zinco 1,3  Rame 2,4 mg/kg
Conducibilità 0,21 dS/m`,
    figures: [
      'pH 7.8  water',
      'freeLime 18 % notSaid',
      'organicMatter 2.1 % notSaid',
      'P 22 mg/kg olsen',
      'K 257.3 mg/kg ammoniumAcetate',
      'CEC 21.4 cmol_c/kg notSaid',
      'Mg 147.7 mg/kg ammoniumAcetate',
      'Ca 4850 mg/kg ammoniumAcetate',
      'Fe 14.2 mg/kg other',
      'Mn 6.1 mg/kg notSaid',
      'Zn 1.3 mg/kg notSaid',
      'Cu 2.4 mg/kg notSaid',
      'EC 0.21 mS/cm notSaid',
    ],
  },
  {
    name: 'a French report in g/kg',
    text: `Analyse de terre  – parcelle "Les Combes"
pH eau : 6,9     pH KCl : 6,1
M.O. : 24 g/kg
P2O5 (Olsen) : 62 mg/kg     (souhaitable 50 - 80)
K2O échangeable : 0,21 g/kg (souhaitable 0,15 - 0,22)
MgO échangeable : 0,14 g/kg
CaO échangeable : 3,10 g/kg
CEC Metson : 12,4 cmol+/kg
Taux de saturation : 98 %
Cuivre EDTA 3,1 mg/kg ; Zinc EDTA 2,2 mg/kg ; Bore 0,45 mg/kg`,
    figures: [
      'pH 6.9  water',
      'pH 6.1  KCl',
      'organicMatter 2.4 % notSaid',
      'P 27.06 mg/kg olsen',
      'K 174.3 mg/kg ammoniumAcetate',
      'Mg 84.43 mg/kg ammoniumAcetate',
      'Ca 2216 mg/kg ammoniumAcetate',
      'CEC 12.4 cmol_c/kg notSaid',
      'Cu 3.1 mg/kg other',
      'Zn 2.2 mg/kg other',
      'B 0.45 mg/kg notSaid',
    ],
  },
  {
    name: 'a Polish slip',
    text: `Wyniki badania gleby
pH w KCl 5,6
P2O5 14,2 mg/100g (zasobność średnia)
K2O 18,9 mg/100g (wysoka)
Mg 6,1 mg/100 g
Próchnica 2,3 %
Potrzeby wapnowania: potrzebne
N-NO3 12 mg/kg   N-NH4 3,4 mg/kg`,
    figures: [
      'pH 5.6  KCl',
      'P 61.97 mg/kg notSaid',
      'K 156.9 mg/kg notSaid',
      'Mg 61 mg/kg notSaid',
      'organicMatter 2.3 % notSaid',
      'nitrateN 12 mg/kg notSaid',
      'ammoniumN 3.4 mg/kg notSaid',
    ],
  },
  {
    name: 'a slip with its units between names and symbols',
    text: `Soil Health Report — depth 0-8"
1:1 Soil pH                     6.6
1:1 S Salts mmho/cm             0.22
Organic Matter LOI %            3.9
Nitrate-N ppm N                 14
lbs N/A                         34
M-3 Phosphorus ppm P            61
Potassium ppm K                 288
Sulfate-S ppm S                 12
Zinc ppm Zn                     2.1
Calcium ppm Ca                  2110
Magnesium ppm Mg                305
Sodium ppm Na                   22
CEC/Sum of Cations me/100g      14.0
%Base Saturation H K Ca Mg Na   0 5 75 18 1`,
    figures: [
      'pH 6.6  notSaid',
      'EC 0.22 mS/cm notSaid',
      'organicMatter 3.9 % notSaid',
      'nitrateN 14 mg/kg notSaid',
      'P 61 mg/kg mehlich3',
      'K 288 mg/kg notSaid',
      'S 12 mg/kg notSaid',
      'Zn 2.1 mg/kg notSaid',
      'Ca 2110 mg/kg notSaid',
      'Mg 305 mg/kg notSaid',
      'Na 22 mg/kg notSaid',
      'CEC 14 cmol_c/kg notSaid',
    ],
  },
  {
    name: 'a Spanish report in cmol',
    text: `Resultados de análisis de suelo
pH (1:2,5 en agua)        7,9
CE 1:5 (dS/m)             0,31
Materia orgánica (%)      1,8
Fósforo Olsen (mg/kg)     17
Potasio (cmol+/kg)        0,72
Calcio (cmol+/kg)         16,4
Magnesio (cmol+/kg)       2,3
Sodio (cmol+/kg)          0,4
CIC (cmol+/kg)            19,1
Carbonatos (%)            22
Caliza activa (%)         8`,
    figures: [
      'pH 7.9  water',
      'EC 0.31 mS/cm notSaid',
      'organicMatter 1.8 % notSaid',
      'P 17 mg/kg olsen',
      'K 0.72 cmol_c/kg notSaid',
      'Ca 16.4 cmol_c/kg notSaid',
      'Mg 2.3 cmol_c/kg notSaid',
      'Na 0.4 cmol_c/kg notSaid',
      'CEC 19.1 cmol_c/kg notSaid',
      'freeLime 22 % notSaid',
    ],
  },
  {
    name: 'a report in me/100 g with medium ranges',
    text: `Summary of the sheet (units as shown)
Analysis            Level Found   Medium Range
pH         pH units     5.9       5.8 - 6.3
Olsen Phosphorus  mg/L  14        20 - 30
Potassium   me/100g     0.45      0.40 - 0.60
Calcium     me/100g     6.1       4.0 - 10.0
Magnesium   me/100g     0.92      1.00 - 1.60
Sodium      me/100g     0.14      0.20 - 0.50
CEC         me/100g     15        12 - 25
Total Base Saturation % 51        50 - 85
Volume Weight  g/mL     0.86      0.60 - 1.00
Sulphate Sulphur mg/kg  6         10 - 12`,
    figures: [
      'pH 5.9  notSaid',
      'P 14 mg/L olsen',
      'K 0.45 cmol_c/kg notSaid',
      'Ca 6.1 cmol_c/kg notSaid',
      'Mg 0.92 cmol_c/kg notSaid',
      'Na 0.14 cmol_c/kg notSaid',
      'CEC 15 cmol_c/kg notSaid',
      'bulkDensity 0.86 kg/L notSaid',
      'S 6 mg/kg notSaid',
    ],
  },
];
