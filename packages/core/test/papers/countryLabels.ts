import type { Paper } from './paper.js';

/** Labels as bags of one country print them. */
export const COUNTRY_LABELS: readonly Paper[] = [
  {
    name: 'a Portuguese sack',
    text: `Adubo Valverdinho NPK 7-12-6
Azoto (N) total 7,0 %
Azoto amoniacal 5,0 %
Azoto ureico 2,0 %
Pentóxido de fósforo (P2O5) solúvel em citrato de amónio neutro e água 12,0 %
Óxido de potássio (K2O) solúvel em água 6,0 %
Óxido de cálcio (CaO) total 9 %
Peso líquido: 25 kg`,
    figures: [
      'N element 7 %',
      'N.ammoniacal element 5 %',
      'N.urea element 2 %',
      'P P2O5 12 %',
      'K K2O 6 %',
      'Ca CaO 9 %',
    ],
    packages: ['25 kg'],
    grade: '7-12-6',
  },
  {
    name: 'a Danish bag in elements',
    text: `Havegødning Bakkelund NPK 11-3-18
Kvælstof (N) total 11 %
Nitratkvælstof 5 %
Ammoniumkvælstof 6 %
Fosfor (P) 3 %
Kalium (K) 18 %
Magnesium (Mg) 1,6 %
Svovl (S) 10 %
Bor (B) 0,05 %
Nettovægt 15 kg`,
    figures: [
      'N element 11 %',
      'N.nitrate element 5 %',
      'N.ammoniacal element 6 %',
      'P element 3 %',
      'K element 18 %',
      'Mg element 1.6 %',
      'S element 10 %',
      'B element 0.05 %',
    ],
    packages: ['15 kg'],
    grade: '11-3-18',
  },
  {
    name: 'an Italian sack with symbols between the words',
    text: `CONCIME MINERALE COMPOSTO
NPK (SO3) 12-12-17 (20)
5,0% azoto (N) nitrico
7,0% azoto (N) ammoniacale
12% azoto (N) totale
12% anidride fosforica (P2O5) solubile in citrato ammonico neutro e in acqua
17% ossido di potassio (K2O) solubile in acqua
20% anidride solforica (SO3) totale
0,02% boro (B)
A basso tenore di cloro
25 kg netti`,
    figures: [
      'N element 12 %',
      'N.nitrate element 5 %',
      'N.ammoniacal element 7 %',
      'P P2O5 12 %',
      'K K2O 17 %',
      'S SO3 20 %',
      'B element 0.02 %',
    ],
    packages: ['25 kg'],
    grade: '12-12-17',
  },
  {
    name: 'an Australian bag that parts nitrogen and phosphorus',
    text: `GOLDEN PADDOCK CITRUS FOOD
Analysis                      % w/w
Nitrogen (N) as ammonium      6.5
Nitrogen (N) as urea          2.0
Total Nitrogen (N)            8.5
Phosphorus (P) water soluble  1.1
Phosphorus (P) citrate soluble 0.6
Phosphorus (P) citrate insoluble 0.3
Total phosphorus (P)          2.0
Potassium (K) as sulphate     7.5
Sulphur (S) as sulphates      11.0
Max. cadmium 10 mg/kg
NET 2.5kg`,
    figures: [
      'N.ammoniacal element 6.5 %',
      'N.urea element 2 %',
      'N element 8.5 %',
      'P element 2 %',
      'K element 7.5 %',
      'S element 11 %',
      'Cd element 10 mg/kg',
    ],
    packages: ['2.5 kg'],
  },
  {
    name: 'a bag in English and French',
    text: `Lac-aux-Herbes Lawn / Gazon 18-3-6
Guaranteed Minimum Analysis / Analyse minimale garantie
Total Nitrogen (N) / Azote total (N) .... 18%
Available Phosphoric Acid (P2O5) / Acide phosphorique assimilable (P2O5) .... 3%
Soluble Potash (K2O) / Potasse soluble (K2O) ... 6%
Iron (Fe) / Fer (Fe) (actual / réel) ... 2%
Net weight / Poids net: 18 kg
Covers / Couvre 400 m²`,
    figures: ['N element 18 %', 'P P2O5 3 %', 'K K2O 6 %', 'Fe element 2 %'],
    packages: ['18 kg'],
    grade: '18-3-6',
  },
  {
    name: 'a Spanish sack with metals on one line',
    text: `Fertilizante Huerta Clara 4-3-3
Nitrógeno total (N): 4,0 % mín.
Nitrógeno orgánico: 3,6 %
P2O5 total: 3 %
K2O soluble en agua: 3 %
Materia orgánica: 65 %
Humedad máx.: 12 %
C/N: 8,5
Contenido en metales: Cd < 0,7 mg/kg; Pb < 45 mg/kg; Ni 10 mg/kg
Peso neto 20 kg`,
    figures: [
      'N element 4 %',
      'N.waterInsoluble element 3.6 %',
      'P P2O5 3 %',
      'K K2O 3 %',
      'Cd element <0.7 mg/kg',
      'Pb element <45 mg/kg',
      'Ni element 10 mg/kg',
    ],
    packages: ['20 kg'],
    grade: '4-3-3',
  },
  {
    name: 'a British box with elements in brackets and a rate',
    text: `Blood, Fish & Bone 5-5-6.5
Nitrogen (N) 5% w/w; Phosphorus Pentoxide (P2O5) 5% w/w (2.2% P); Potassium Oxide (K2O) 6.5% w/w (5.4% K)
70-140g per sq m (2-4oz per sq yd)`,
    figures: ['N element 5 %', 'P P2O5 5 %', 'K K2O 6.5 %'],
    grade: '5-5-6.5',
  },
  {
    name: 'per cent as pct, and a bag that says what it covers',
    text: `SALT COVE KELP MEAL
Total Nitrogen 1.0 pct.
Soluble Potash 2.0 pct.
Apply 5 lbs per 100 sq ft
40 lb bag covers up to 800 sq. ft.`,
    figures: ['N element 1 %', 'K K2O 2 %'],
    packages: ['40 lb'],
  },
  {
    name: 'chelated shares in brackets',
    text: `TRACE BLEND
Boron (B) 0.02% Copper (Cu) 0.05% (0.05% chelated Cu)
Iron (Fe) 0.10% (0.10% chelated iron)
Molybdenum (Mo) 0.0005%
Zinc (Zn) 500 mg/kg`,
    figures: [
      'B element 0.02 %',
      'Cu element 0.05 %',
      'Fe element 0.1 %',
      'Mo element 0.0005 %',
      'Zn element 500 mg/kg',
    ],
  },
];
