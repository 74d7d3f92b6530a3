import type { Paper } from './paper.js';

/** Bags and bottles as they are printed in many places; each as somebody would copy it. */
export const MORE_LABELS: readonly Paper[] = [
  {
    name: 'an EU label with three solubilities of phosphate',
    text: `EC FERTILISER
NPK FERTILISER 8-12-24
Name: Vessermark Orchard Blend
8 % Nitrogen (N) total
  2,0 % nitric nitrogen
  6,0 % ammoniacal nitrogen
12 % Phosphorus pentoxide (P2O5) soluble in neutral ammonium citrate and in water
   9,5 % Phosphorus pentoxide (P2O5) soluble in water
24 % Potassium oxide (K2O) soluble in water
2 % Magnesium oxide (MgO) total
15 % Sulphur trioxide (SO3) total
   13 % Sulphur trioxide (SO3) soluble in water
Low in chloride
Net mass: 25 kg
Batch no. 2403117`,
    figures: [
      'N element 8 %',
      'N.nitrate element 2 %',
      'N.ammoniacal element 6 %',
      'P P2O5 12 %',
      'K K2O 24 %',
      'Mg MgO 2 %',
      'S SO3 15 %',
    ],
    packages: ['25 kg'],
    grade: '8-12-24',
  },
  {
    name: 'a French bag with forms on the line of the total',
    text: `ENGRAIS NPK 15-5-20
avec magnésie (MgO) et oligo-éléments
Azote (N) total : 15,0 % dont 6,5 % nitrique et 8,5 % ammoniacal
Anhydride phosphorique (P2O5) soluble dans le citrate d'ammonium neutre et dans l'eau : 5,0 %
Oxyde de potassium (K2O) soluble dans l'eau : 20,0 %
Oxyde de magnésium (MgO) total : 2,0 %
Anhydride sulfurique (SO3) total : 17,5 %
Bore (B) total : 0,02 %
Zinc (Zn) total : 0,01 %
Pauvre en chlore
Sac de 25 kg net`,
    figures: [
      'N element 15 %',
      'N.nitrate element 6.5 %',
      'N.ammoniacal element 8.5 %',
      'P P2O5 5 %',
      'K K2O 20 %',
      'Mg MgO 2 %',
      'S SO3 17.5 %',
      'B element 0.02 %',
      'Zn element 0.01 %',
    ],
    packages: ['25 kg'],
    grade: '15-5-20',
  },
  {
    name: 'a German bag with values behind the names and chelates',
    text: `Organisch-mineralischer NPK-Dünger 6+3+8 (+2)
Gesamt-Stickstoff N            6,0 %
  davon organisch gebunden     4,5 %
  davon Ammoniumstickstoff     1,5 %
Gesamtphosphat P2O5            3,0 %
Gesamtkaliumoxid K2O           8,0 %
Gesamtmagnesiumoxid MgO        2,0 %
Eisen Fe, als Chelat von EDTA  0,05 %
Organische Substanz            42 %
Nettogewicht 10,5 kg`,
    figures: [
      'N element 6 %',
      'N.waterInsoluble element 4.5 %',
      'N.ammoniacal element 1.5 %',
      'P P2O5 3 %',
      'K K2O 8 %',
      'Mg MgO 2 %',
      'Fe element 0.05 %',
    ],
    packages: ['10.5 kg'],
  },
  {
    name: 'an Australian bag in elements with per cent in the head',
    text: `WANDERRIE LAWN BOOST
Guaranteed Analysis % W/W
Total Nitrogen (N) as ammonium sulphate 8.2
Total Nitrogen (N) as urea 11.4
TOTAL NITROGEN (N) 19.6
Total Phosphorus (P) water soluble 1.1
Total Potassium (K) as potassium chloride 4.0
Total Sulfur (S) as sulphate 9.4
Total Iron (Fe) as sulphate 1.0
Cadmium max. 10 mg/kg
NET 20kg`,
    figures: [
      'N element 19.6 %',
      'N.ammoniacal element 8.2 %',
      'N.urea element 11.4 %',
      'P element 1.1 %',
      'K element 4 %',
      'S element 9.4 %',
      'Fe element 1 %',
      'Cd element 0–10 mg/kg',
    ],
    packages: ['20 kg'],
  },
  {
    name: 'a liquid with weight by volume and by weight',
    text: `Tidewrack Liquid Kelp & Fish
ANALYSIS
              % w/w    % w/v
Nitrogen (N)   2.3      2.7
Phosphorus (P) 0.9      1.05
Potassium (K)  3.4      4.0
Density 1.17 kg/L
Contents: 5 L`,
    figures: ['N element 2.3 %', 'P element 0.9 %', 'K element 3.4 %'],
    packages: ['5 L'],
  },
  {
    name: 'a liquid in grams per litre and per cent',
    text: `ROBLEDAL 10-4-6 líquido
Riquezas garantizadas
Nitrógeno (N) total: 10,0 % p/p (120 g/l)
  Nitrógeno nítrico: 2,0 % p/p
  Nitrógeno amoniacal: 2,0 % p/p
  Nitrógeno ureico: 6,0 % p/p
Pentóxido de fósforo (P2O5) soluble en agua: 4,0 % p/p (48 g/l)
Óxido de potasio (K2O) soluble en agua: 6,0 % p/p (72 g/l)
Densidad: 1,20 g/cc
Contenido neto: 10 litros`,
    figures: [
      'N element 10 %',
      'N.nitrate element 2 %',
      'N.ammoniacal element 2 %',
      'N.urea element 6 %',
      'P P2O5 4 %',
      'K K2O 6 %',
    ],
    packages: ['10 L'],
    grade: '10-4-6',
  },
  {
    name: 'two languages on one bag',
    text: `Engrais organique / Organic fertiliser
Azote (N) total / Total nitrogen (N): 4 %
Anhydride phosphorique (P2O5) total / Total phosphorus pentoxide (P2O5): 3 %
Oxyde de potassium (K2O) total / Total potassium oxide (K2O): 2 %
Matière organique / Organic matter: 60 %
Poids net / Net weight: 20 kg`,
    figures: ['N element 4 %', 'P P2O5 3 %', 'K K2O 2 %'],
    packages: ['20 kg'],
  },
  {
    name: 'names and values in lines of their own',
    text: `Lilleskog Plantefôr
Totalnitrogen (N)
8,5 %
Fosfor (P)
2,2 %
Kalium (K)
12,4 %
Magnesium (Mg)
1,2 %
Innhold: 1,5 kg`,
    figures: ['N element 8.5 %', 'P element 2.2 %', 'K element 12.4 %', 'Mg element 1.2 %'],
    packages: ['1.5 kg'],
  },
  {
    name: 'a table with the nutrients across',
    text: `Kornmark Gødning
N      P2O5   K2O    MgO
%      %      %      %
14,0   3,0    15,0   2,0
Nettovægt 15 kg`,
    figures: ['N element 14 %', 'P P2O5 3 %', 'K K2O 15 %', 'Mg MgO 2 %'],
    packages: ['15 kg'],
  },
  {
    name: 'leaders that the copying broke into spaced dots',
    text: `GUARANTEED ANALYSIS
Total Nitrogen (N) . . . . . . . . . . . . . . 4.0%
0.5% Water Soluble Nitrogen
3.5% Water Insoluble Nitrogen
Available Phosphate (P2O5) . . . . . . . . . . 6.0%
Soluble Potash (K2O) . . . . . . . . . . . . . 4.0%
Calcium (Ca) . . . . . . . . . . . . . . . . . 7.0%
Derived from: feather meal, bone meal, langbeinite
ALSO CONTAINS NON-PLANT FOOD INGREDIENTS:
2% Humic Acids (from leonardite)
NET WT 5 LB (2.27 kg)`,
    figures: [
      'N element 4 %',
      'N.waterSolubleOrganic element 0.5 %',
      'N.waterInsoluble element 3.5 %',
      'P P2O5 6 %',
      'K K2O 4 %',
      'Ca element 7 %',
    ],
    packages: ['5 lb'],
  },
  {
    name: 'secondary nutrients with their soluble parts',
    text: `Copperhill Citrus Feed 6-3-6
Total Nitrogen (N) 6%
  6% Ammoniacal nitrogen
Available phosphate 3%
Soluble potash 6%
Magnesium (Mg) total 2.4%
  2.0% Water-soluble magnesium (Mg)
Sulfur (S) total 9%
  9% Combined sulfur (S)
Manganese (Mn) 0.8%
  0.4% Water soluble Manganese (Mn)
Zinc (Zn) 0.05%
  0.05% Chelated zinc
Net contents 25 lbs`,
    figures: [
      'N element 6 %',
      'N.ammoniacal element 6 %',
      'P P2O5 3 %',
      'K K2O 6 %',
      'Mg element 2.4 %',
      'S element 9 %',
      'Mn element 0.8 %',
      'Zn element 0.05 %',
    ],
    packages: ['25 lb'],
    grade: '6-3-6',
  },
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
    figures: ['Ca CaCO3 96 %'],
    packages: ['25 kg'],
  },
];
