import type { Paper } from './paper.js';

/** Bags and bottles whose layout leaves something to work out. */
export const HARD_LABELS: readonly Paper[] = [
  {
    name: 'a soluble powder with chelates three to a line',
    text: `NPK 20.10.10 + TE
Water soluble fertilizer
Total nitrogen (N)            20 %
 Nitric nitrogen (NO3-)        5.6 %
 Ammoniacal nitrogen (NH4+)    3.9 %
 Ureic nitrogen (NH2)         10.5 %
P2O5 water-soluble            10 %
K2O water-soluble             10 %
Fe (EDTA) 0.05 %  Mn (EDTA) 0.03 %  Zn (EDTA) 0.02 %
Cu (EDTA) 0.005 %  B 0.01 %  Mo 0.003 %
E.C. 0.1% solution: 0.9 mS/cm
Net weight: 15 kg`,
    figures: [
      'N element 20 %',
      'N.nitrate element 5.6 %',
      'N.ammoniacal element 3.9 %',
      'N.urea element 10.5 %',
      'P P2O5 10 %',
      'K K2O 10 %',
      'Fe element 0.05 %',
      'Mn element 0.03 %',
      'Zn element 0.02 %',
      'Cu element 0.005 %',
      'B element 0.01 %',
      'Mo element 0.003 %',
    ],
    packages: ['15 kg'],
    grade: '20-10-10',
  },
  {
    name: 'a Danish bag',
    text: `GØDNING NPK 14-3-15 mikro
Total kvælstof (N) 14,0 %
heraf nitratkvælstof 5,8 %
heraf ammoniumkvælstof 8,2 %
Fosfor (P) 3,0 %
Kalium (K) 15,0 %
Svovl (S) 10,0 %
Magnesium (Mg) 1,2 %
Bor (B) 0,02 %
Nettoindhold 25 kg`,
    figures: [
      'N element 14 %',
      'N.nitrate element 5.8 %',
      'N.ammoniacal element 8.2 %',
      'P element 3 %',
      'K element 15 %',
      'S element 10 %',
      'Mg element 1.2 %',
      'B element 0.02 %',
    ],
    packages: ['25 kg'],
    grade: '14-3-15',
  },
  {
    name: 'horn meal in German',
    text: `Horngrieß
Organischer N-Dünger 14
14 % N Gesamtstickstoff
organisch gebundener Stickstoff 14 %
85 % Organische Substanz
Ausgangsstoffe: Hornmaterial
Aufwandmenge 80 g/m²
2,5 kg`,
    figures: ['N element 14 %', 'N.waterInsoluble element 14 %'],
    packages: ['2.5 kg'],
  },
  {
    name: 'liquid guano in French with its parts in a bracket',
    text: `Guano liquide
Azote total 3 % (dont organique 1,5 % ; ammoniacal 1,5 %)
P2O5 2 % - K2O 4 %
Dilution 1 bouchon (25 ml) pour 5 L d'eau
Bidon de 1 litre`,
    figures: [
      'N element 3 %',
      'N.waterInsoluble element 1.5 %',
      'N.ammoniacal element 1.5 %',
      'P P2O5 2 %',
      'K K2O 4 %',
    ],
    packages: ['1 L'],
  },
  {
    name: 'calcium nitrate with oxide and element',
    text: `Calcium nitrate
Total N 15.5%
 of which nitrate 14.4%
 of which ammonium 1.1%
CaO water soluble 26.3% (Ca 18.8%)
25 KG NET`,
    figures: ['N element 15.5 %', 'N.nitrate element 14.4 %', 'N.ammoniacal element 1.1 %', 'Ca CaO 26.3 %'],
    packages: ['25 kg'],
  },
  {
    name: 'liquid seaweed by volume with traces in mg per litre',
    text: `LIQUID SEAWEED CONCENTRATE
Typical analysis (w/v)
Nitrogen       0.15%
Phosphorus     0.02%
Potassium      4.2%
Trace elements (mg/L)
Iron 35
Zinc 12
Boron 20
Mannitol 4 g/L
5 Litres`,
    figures: [
      'N element 0.15 % w/v',
      'P element 0.02 % w/v',
      'K element 4.2 % w/v',
      'Fe element 0.035 g/L',
      'Zn element 0.012 g/L',
      'B element 0.02 g/L',
    ],
    packages: ['5 L'],
  },
  {
    name: 'rock dust told in oxides',
    text: `CRUSHED BASALT ROCK DUST
Element oxide analysis (%)
SiO2   48.2
Al2O3  14.1
Fe2O3  11.8
CaO    8.9
MgO    7.2
K2O    1.1
Na2O   2.9
P2O5   0.4
20kg bag`,
    figures: [
      'Si SiO2 48.2 %',
      'Ca CaO 8.9 %',
      'Mg MgO 7.2 %',
      'K K2O 1.1 %',
      'Na Na2O 2.9 %',
      'P P2O5 0.4 %',
      'Fe Fe2O3 11.8 %',
    ],
    packages: ['20 kg'],
  },
  {
    name: 'everything in one sentence of commas',
    text: `N-P-K 4-3-3 pellets made of chicken manure
4 % total nitrogen (N), 3 % total phosphoric acid anhydride (P2O5), 3 % total potassium oxide (K2O), 1 % magnesium oxide (MgO), 9 % calcium oxide (CaO)
Dry matter approx. 88 %
Sack 25 kg`,
    figures: ['N element 4 %', 'P P2O5 3 %', 'K K2O 3 %', 'Mg MgO 1 %', 'Ca CaO 9 %'],
    packages: ['25 kg'],
    grade: '4-3-3',
  },
  {
    name: 'values between bars with traces in mg per kg',
    text: `ANALYSIS (minimum): N 9.0% | P 2.0% | K 6.5% | Ca 4.0% | S 3.2% | Mg 1.0%
Trace elements: Fe 2500 mg/kg | Mn 400 mg/kg | Zn 350 mg/kg | B 120 mg/kg
Bag size 22 kg. Coverage 440 m2 at 50 g/m2`,
    figures: [
      'N element 9 %',
      'P element 2 %',
      'K element 6.5 %',
      'Ca element 4 %',
      'S element 3.2 %',
      'Mg element 1 %',
      'Fe element 2500 mg/kg',
      'Mn element 400 mg/kg',
      'Zn element 350 mg/kg',
      'B element 120 mg/kg',
    ],
    packages: ['22 kg'],
  },
  {
    name: 'a Dutch bag whose forms follow a name and a colon',
    text: `Formule: 12% N - 6% P2O5 - 18% K2O - 3% MgO
Stikstof: 5,5% nitraat, 6,5% ammonium
Chloorarm
Zak 20 kg`,
    figures: [
      'N element 12 %',
      'P P2O5 6 %',
      'K K2O 18 %',
      'Mg MgO 3 %',
      'N.nitrate element 5.5 %',
      'N.ammoniacal element 6.5 %',
    ],
    packages: ['20 kg'],
  },
  {
    name: 'a German bag with davon alone on its line',
    text: `ZUSAMMENSETZUNG
Gesamtstickstoff.........5,0%
  davon
  organischer Stickstoff 3,5%
  Ammonium-N.............1,5%
Gesamtphosphat (P2O5)....3,0%
Gesamtkali (K2O).........6,0%
Feuchte max. 12%
Inhalt: 7,5kg`,
    figures: [
      'N element 5 %',
      'N.waterInsoluble element 3.5 %',
      'N.ammoniacal element 1.5 %',
      'P P2O5 3 %',
      'K K2O 6 %',
    ],
    packages: ['7.5 kg'],
  },
  {
    name: 'a Spanish bag with dashes before the parts',
    text: `Fertilizante órgano-mineral NPK 4-8-12
Nitrógeno (N) total 4,0%
- Nitrógeno (N) orgánico 1,0%
- Nitrógeno (N) amoniacal 3,0%
Pentóxido de fósforo (P2O5) total 8,0%
Óxido de potasio (K2O) total 12,0%
Carbono orgánico 15,0%
Materia orgánica 30%
Humedad máxima 12%
Ácidos húmicos 5%
C/N 8,5
Peso neto 25 kg`,
    figures: ['N element 4 %', 'N.waterInsoluble element 1 %', 'N.ammoniacal element 3 %', 'P P2O5 8 %', 'K K2O 12 %'],
    packages: ['25 kg'],
    grade: '4-8-12',
  },
  {
    name: 'an Italian bag with the soluble part on its own line',
    text: `Concime NPK (Mg-S) 12-12-17 (2-25)
12% AZOTO (N) totale
   di cui: 5% azoto nitrico, 7% azoto ammoniacale
12% ANIDRIDE FOSFORICA (P2O5) solubile in citrato ammonico neutro e in acqua
   di cui 8% solubile in acqua
17% OSSIDO DI POTASSIO (K2O) solubile in acqua
2% OSSIDO DI MAGNESIO (MgO) totale
25% ANIDRIDE SOLFORICA (SO3) totale
0,02% BORO (B)
kg 25`,
    figures: [
      'N element 12 %',
      'N.nitrate element 5 %',
      'N.ammoniacal element 7 %',
      'P P2O5 12 %',
      'K K2O 17 %',
      'Mg MgO 2 %',
      'S SO3 25 %',
      'B element 0.02 %',
    ],
    packages: ['25 kg'],
    grade: '12-12-17',
  },
  {
    name: 'potash with a bracket on the next line',
    text: `Soluble Potash . . . . 50%
(Water soluble K2O)
Sulfur (S) . . . . 17% combined
Chlorine not more than . . . . 1.0%
Derived from potassium sulfate
Net Wt 50 lb (22.68 kg)`,
    figures: ['K K2O 50 %', 'S element 17 %', 'Cl element 0–1 %'],
    packages: ['50 lb'],
  },
  {
    name: 'bone meal with available and total phosphate',
    text: `Bone meal 3-15-0
Total Nitrogen......3% 
   Water Insoluble Nitrogen 2.7%
   Other water soluble N 0.3%
Available Phosphoric Acid (P2O5)....15%
Total Phosphoric acid 20%
Calcium 24%
4 lbs 8 oz`,
    figures: [
      'N element 3 %',
      'N.waterInsoluble element 2.7 %',
      'N.waterSolubleOrganic element 0.3 %',
      'P P2O5 15 %',
      'Ca element 24 %',
    ],
    packages: ['4.5 lb'],
    grade: '3-15-0',
  },
  {
    name: 'chelated iron told four times',
    text: `Chelated iron 6%
Iron (Fe) soluble in water 6.0 %
Iron (Fe) chelated by EDDHA 6.0 %
Iron (Fe) chelated by [o,o] EDDHA 4.8 %
pH range 4-10
1 kg`,
    figures: ['Fe element 6 %'],
    packages: ['1 kg'],
  },
];
