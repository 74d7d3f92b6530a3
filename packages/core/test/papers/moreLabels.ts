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
];
