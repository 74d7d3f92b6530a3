import type { Paper } from './paper.js';

/** Bags of organic and mixed fertilisers, and whole bags as they are copied with everything on them. */
export const ORGANIC_LABELS: readonly Paper[] = [
  {
    name: 'an Italian organic with carbon and humidity',
    text: `CONCIME ORGANICO
Stallatico pellettato "Pian dei Fossi"
Azoto (N) organico 3%
Anidride fosforica (P2O5) totale 3%
Ossido di potassio (K2O) totale 2%
Carbonio (C) organico di origine biologica 35%
Umidità massima 15%
Peso netto Kg 25`,
    figures: ['N.waterInsoluble element 3 %', 'P P2O5 3 %', 'K K2O 2 %'],
    packages: ['25 kg'],
  },
  {
    name: 'a Dutch bag with a run of values',
    text: `Organische meststof NPK 7-4-12
Gehalten: N-totaal 7%, P2O5 4%, K2O 12%, MgO 3%
Organische stof 55%
Inhoud: 20 kg
Dosering: 80-120 gram per m2`,
    figures: ['N element 7 %', 'P P2O5 4 %', 'K K2O 12 %', 'Mg MgO 3 %'],
    packages: ['20 kg'],
    grade: '7-4-12',
  },
  {
    name: 'a Polish bag with w tym',
    text: `Nawóz NPK(MgS) 5-10-20-(4-15)
Azot (N) całkowity: 5,0%
w tym azot amonowy: 5,0%
Pięciotlenek fosforu (P2O5) rozpuszczalny w obojętnym cytrynianie amonu i w wodzie: 10,0%
Tlenek potasu (K2O) rozpuszczalny w wodzie: 20,0%
Tlenek magnezu (MgO) całkowity: 4,0%
Trójtlenek siarki (SO3) rozpuszczalny w wodzie: 15,0%
Bor (B): 0,1%
Masa netto: 5 kg`,
    figures: [
      'N element 5 %',
      'N.ammoniacal element 5 %',
      'P P2O5 10 %',
      'K K2O 20 %',
      'Mg MgO 4 %',
      'S SO3 15 %',
      'B element 0.1 %',
    ],
    packages: ['5 kg'],
  },
  {
    name: 'a Portuguese bottle',
    text: `Adubo líquido NPK 7-5-6
Azoto (N) total 7 %
 Azoto amídico 5 %
 Azoto nítrico 2 %
Pentóxido de fósforo (P2O5) solúvel em água 5 %
Óxido de potássio (K2O) solúvel em água 6 %
Ferro (Fe) quelatado por EDTA 0,02 %
Conteúdo líquido: 1 L`,
    figures: [
      'N element 7 %',
      'N.nitrate element 2 %',
      'N.urea element 5 %',
      'P P2O5 5 %',
      'K K2O 6 %',
      'Fe element 0.02 %',
    ],
    packages: ['1 L'],
    grade: '7-5-6',
  },
  {
    name: 'a Swedish bag with grams per kilogram',
    text: `Näring: Kväve (N) 85 g/kg varav nitratkväve 35 g/kg och ammoniumkväve 50 g/kg
Fosfor (P) 20 g/kg
Kalium (K) 120 g/kg
Svavel (S) 40 g/kg
Bor (B) 0,3 g/kg
Nettovikt: 7,5 kg`,
    figures: [
      'N element 85 g/kg',
      'N.nitrate element 35 g/kg',
      'N.ammoniacal element 50 g/kg',
      'P element 20 g/kg',
      'K element 120 g/kg',
      'S element 40 g/kg',
      'B element 0.3 g/kg',
    ],
    packages: ['7.5 kg'],
  },
  {
    name: 'a bag that says not less than',
    text: `Thornbury Hoof & Horn
Contains not less than:
Nitrogen (N) 13.0%
of which organic nitrogen 13.0%
Moisture not more than 10%
25 kg e`,
    figures: ['N element 13 %', 'N.waterInsoluble element 13 %'],
    packages: ['25 kg'],
  },
  {
    name: 'ranges and least and most',
    text: `Composted bark and manure
Typical analysis (as is basis)
Nitrogen 0.8 - 1.2 %
Phosphorus (P2O5) 0.4 to 0.7 %
Potassium (K2O) min 0.6 % max 1.1 %
Moisture 45-55 %
C:N ratio 18:1
40 litre bag`,
    figures: ['N element 0.8–1.2 %', 'P P2O5 0.4–0.7 %', 'K K2O 0.6–1.1 %'],
    packages: ['40 L'],
  },
  {
    name: 'oxide and element beside each other',
    text: `Basalt & Ash mineral mix
Phosphorus 2.6 % P (6.0 % P2O5)
Potassium 8.3 % K (10 % K2O)
Calcium 14.3% Ca (20% CaO)
Magnesium 1.8 % Mg (3 % MgO)
Silica (SiO2) 32 %
1000 kg big bag`,
    figures: ['P element 2.6 %', 'K element 8.3 %', 'Ca element 14.3 %', 'Mg element 1.8 %', 'Si SiO2 32 %'],
    packages: ['1000 kg'],
  },
  {
    name: 'kilograms per tonne beside per cent',
    text: `Digestate pellets - nutrient content
             %      kg/t
Total N      3.2    32
P2O5         2.1    21
K2O          1.4    14
MgO          0.6    6
Dry matter   88
Bulk bag 600 kg`,
    figures: ['N element 3.2 %', 'P P2O5 2.1 %', 'K K2O 1.4 %', 'Mg MgO 0.6 %'],
    packages: ['600 kg'],
  },
  {
    name: 'trace elements in a lead-in with their unit',
    text: `Trace mix for hydroponics
Contains (% w/w): Fe 7.1, Mn 3.48, Zn 1.02, B 0.76, Cu 0.76, Mo 0.485
All metals chelated with EDTA, molybdenum as sodium molybdate
Net weight 1 kg`,
    figures: [
      'Fe element 7.1 %',
      'Mn element 3.48 %',
      'Zn element 1.02 %',
      'B element 0.76 %',
      'Cu element 0.76 %',
      'Mo element 0.485 %',
    ],
    packages: ['1 kg'],
  },
  {
    name: 'heavy metals with their limits',
    text: `Compost "Rote Erde" - Analyse
Stickstoff gesamt 1,4 % TM
Phosphat (P2O5) gesamt 0,8 % TM
Kaliumoxid (K2O) gesamt 1,1 % TM
Trockenmasse 62 %
Blei (Pb) 41 mg/kg TM (Grenzwert 150)
Cadmium (Cd) 0,5 mg/kg TM (Grenzwert 1,5)
Zink (Zn) 180 mg/kg TM (Grenzwert 400)
Quecksilber (Hg) < 0,1 mg/kg TM (Grenzwert 1,0)`,
    figures: [
      'N element 0.868 %',
      'P P2O5 0.496 %',
      'K K2O 0.682 %',
      'Pb element 25.42 mg/kg',
      'Cd element 0.31 mg/kg',
      'Zn element 111.6 mg/kg',
      'Hg element <0.062 mg/kg',
    ],
    measured: true,
  },
  {
    name: 'a bag with coverage, rates and a telephone',
    text: `Pinefold All Purpose 5-5-5
Total nitrogen 5%, available phosphate 5%, soluble potash 5%
Covers up to 1,250 sq ft
Apply 4 lbs per 100 sq ft in spring
Questions? Call 1-800-555-0142
Lot 22B-1404
NET WEIGHT 36 LBS`,
    figures: ['N element 5 %', 'P P2O5 5 %', 'K K2O 5 %'],
    packages: ['36 lb'],
    grade: '5-5-5',
  },
  {
    name: 'amounts in a sentence',
    text: `This seaweed meal contains 1.1% nitrogen, 0.2% phosphorus and 2.4% potassium, plus 1.3 % magnesium.
Packed in 22 kg sacks.`,
    figures: ['N element 1.1 %', 'P element 0.2 %', 'K element 2.4 %', 'Mg element 1.3 %'],
    packages: ['22 kg'],
  },
  {
    name: 'a lime with its value and sieve',
    text: `Ground limestone
Neutralising value 54%
Calcium carbonate (CaCO3) 96 %
Magnesium carbonate (MgCO3) 2 %
Passing 2 mm sieve 98%
Moisture content 1.5%
Bag 25kg`,
    figures: ['Ca CaCO3 96 %', 'Mg MgCO3 2 %'],
    packages: ['25 kg'],
  },
];
