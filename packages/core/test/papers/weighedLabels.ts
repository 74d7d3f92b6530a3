import type { Paper } from './paper.js';

/** Labels whose parts have to be weighed against each other. */
export const WEIGHED_LABELS: readonly Paper[] = [
  {
    name: 'a German lawn food with its maker’s address',
    text: `GRÜNHALDE BIO-RASENDÜNGER
Organisch-mineralischer NPK-Dünger 9+4+5 (+2)
9 % N  Gesamtstickstoff
   5,5 % organisch gebundener Stickstoff
   3,5 % Ammoniumstickstoff
4 % P2O5 Gesamtphosphat
   2,8 % wasserlösliches Phosphat
5 % K2O wasserlösliches Kaliumoxid
2 % MgO Gesamtmagnesiumoxid
Organische Substanz 55 %
Ausgangsstoffe: Federmehl, Vinasse, Ammoniumsulfat, Rohphosphat
Aufwandmenge: 60-80 g/m²
Nettogewicht: 25 kg e
Inverkehrbringer: Grünhalde GmbH, Feldweg 12, 29525 Oberdorf
Charge 22-0918`,
    figures: [
      'N element 9 %',
      'N.waterInsoluble element 5.5 %',
      'N.ammoniacal element 3.5 %',
      'P P2O5 4 %',
      'K K2O 5 %',
      'Mg MgO 2 %',
    ],
    packages: ['25 kg'],
  },
  {
    name: 'a fish and kelp liquid, its weight by the gallon',
    text: `MARROWBY FISH & KELP 2-3-1
GUARANTEED ANALYSIS
Total Nitrogen (N).............2.0%
  0.3% Ammoniacal Nitrogen
  1.7% Other Water Soluble Nitrogen*
Available Phosphate (P2O5).....3.0%
Soluble Potash (K2O)...........1.0%
Derived from: hydrolyzed fish, kelp (Ascophyllum nodosum)
*1.2% slowly available nitrogen from hydrolyzed fish
ALSO CONTAINS NON-PLANT FOOD INGREDIENTS:
0.5% Humic acids (derived from leonardite)
Weight per gallon: 9.4 lbs at 68F
NET CONTENTS: 1 U.S. quart (946 mL)
Mix 2 tbsp per gallon of water. Apply every 2-3 weeks.
F1234 Est. none`,
    figures: [
      'N element 2 %',
      'N.ammoniacal element 0.3 %',
      'N.waterSolubleOrganic element 1.7 %',
      'P P2O5 3 %',
      'K K2O 1 %',
      'N.coated element 1.2 %',
    ],
    packages: ['1 US qt'],
    grade: '2-3-1',
  },
  {
    name: 'calcium nitrate in Spanish, its element in brackets below',
    text: `CALCIUM NITRATE  15.5-0-0 + 26.5 CaO
Nitrógeno (N) total 15,5% p/p
  N nítrico 14,4%
  N amoniacal 1,1%
Óxido de calcio (CaO) soluble en agua 26,5%
(Ca 19%)
Contenido neto: 25 kg
Dosis en fertirriego: 1-2 g/L`,
    figures: ['N element 15.5 %', 'N.nitrate element 14.4 %', 'N.ammoniacal element 1.1 %', 'Ca CaO 26.5 %'],
    packages: ['25 kg'],
    grade: '15.5-0-0 + 26.5 CaO',
  },
  {
    name: 'liquid seaweed by volume',
    text: `ELDERMERE LIQUID SEAWEED CONCENTRATE
Typical analysis (w/v)
N 0.30%  P 0.05%  K 4.2%
Ca 0.15%, Mg 0.12%, S 0.60%, Na 1.9%
Trace elements mg/L: Fe 95, Mn 8.5, Zn 12, Cu 2, B 31, Mo 0.4
pH 9.0-9.8; SG 1.12 kg/L
Dilution 1:200 (5 mL/L); 10 L`,
    figures: [
      'N element 0.3 % w/v',
      'P element 0.05 % w/v',
      'K element 4.2 % w/v',
      'Ca element 0.15 % w/v',
      'Mg element 0.12 % w/v',
      'S element 0.6 % w/v',
      'Na element 1.9 % w/v',
      'Fe element 0.095 g/L',
      'Mn element 0.0085 g/L',
      'Zn element 0.012 g/L',
      'Cu element 0.002 g/L',
      'B element 0.031 g/L',
      'Mo element 0.0004 g/L',
    ],
  },
  {
    name: 'Polish granulated lime',
    text: `NAWÓZ WAPNIOWO-MAGNEZOWY "DOLNA GRUDA"
CaO 32 %, MgO 18 %
Reaktywność 45 %
Wilgotność max. 8 %
Liczba zobojętnienia (wartość CaO) 56
Masa netto 20 kg
Dawka: 150-300 g/m2`,
    figures: ['Ca CaO 32 %', 'Mg MgO 18 %'],
    packages: ['20 kg'],
  },
  {
    name: 'a potting compost whose title tells its package',
    text: `BROOKSIDE HOP COMPOST 50L
Peat free multi-purpose
Typical nutrient content (mg/l, CAT extract)
N 180   P 90   K 220   Mg 110
pH 5.8 - 6.4     EC 350 µS/cm
Ingredients: wood fibre, bark, green compost, coir`,
    figures: ['N element 0.18 g/L', 'P element 0.09 g/L', 'K element 0.22 g/L', 'Mg element 0.11 g/L'],
    packages: ['50 L'],
  },
  {
    name: 'a French organo-mineral label',
    text: `Engrais NFU 42-001 Engrais organo-minéral NPK 6-4-8 + 2 MgO
Azote (N) total : 6 % dont 3 % d'azote organique d'origine animale, 3 % d'azote ammoniacal
Anhydride phosphorique (P2O5) total : 4 %
Oxyde de potassium (K2O) soluble dans l'eau : 8 % (pauvre en chlore)
Oxyde de magnésium (MgO) total : 2 %, SO3 : 12 %
Poids net : 20 kg. Dose : 80 à 120 g/m² au printemps
Fabriqué par SARL Terre-Neuve, 12 rue des Lilas, 49000 Angevert. Tél. 02 41 00 00 00`,
    figures: [
      'N element 6 %',
      'N.waterInsoluble element 3 %',
      'N.ammoniacal element 3 %',
      'P P2O5 4 %',
      'K K2O 8 %',
      'Mg MgO 2 %',
      'S SO3 12 %',
    ],
    packages: ['20 kg'],
    grade: '6-4-8 + 2 MgO',
  },
  {
    name: 'a liquid in three languages, told by volume and by mass',
    text: `GARANTIERTE ANALYSE / ANALYSE GARANTIE / ANALISI GARANTITA
N   Gesamt-Stickstoff / azote total / azoto totale        7 %
P2O5 Gesamt-Phosphat / phosphate total / fosfato totale   3 %
K2O Gesamt-Kaliumoxid / oxyde de potassium / ossido di potassio 10 %
Fe 0,05 %   Mn 0,02 %   B 0,01 %   (EDTA)
Inhalt / contenu / contenuto: 1 Liter = 1,22 kg`,
    figures: [
      'N element 7 %',
      'P P2O5 3 %',
      'K K2O 10 %',
      'Fe element 0.05 %',
      'Mn element 0.02 %',
      'B element 0.01 %',
    ],
    packages: ['1 L'],
  },
  {
    name: 'a rose food, each oxide with its element',
    text: `HARTWELL'S ROSE & SHRUB FOOD
Compound fertiliser NPK 8-12-10 with magnesium and trace elements
Contains: Nitrogen (N) 8.0%  as Ammonium Nitrogen 6.2%, Nitric Nitrogen 1.8%
Phosphorus Pentoxide (P2O5) soluble in neutral ammonium citrate and water 12.0% (5.2% P)
of which soluble in water 10.4% (4.5% P)
Potassium Oxide (K2O) soluble in water 10.0% (8.3% K)
Magnesium Oxide (MgO) total 3.0% (1.8% Mg)
Total Iron (Fe) 0.12%, Manganese (Mn) 0.04%, Boron (B) 0.02%
Covers up to 28m2 at 70g per m2
2kg e
Keep out of reach of children. Emergency tel 01234 567890`,
    figures: [
      'N element 8 %',
      'N.ammoniacal element 6.2 %',
      'N.nitrate element 1.8 %',
      'P P2O5 12 %',
      'K K2O 10 %',
      'Mg MgO 3 %',
      'Fe element 0.12 %',
      'Mn element 0.04 %',
      'B element 0.02 %',
    ],
    packages: ['2 kg'],
    grade: '8-12-10',
  },
  {
    name: 'alfalfa pellets as a feed tag',
    text: `Purely Green Alfalfa Pellets 2.5-0.5-2.5
Crude Protein (min) 15.0%
Crude Fat (min) 1.5%
Crude Fiber (max) 30.0%
Moisture (max) 12%
Calcium (Ca) min 1.1% max 1.6%
Net Weight 40 lb (18.14 kg)
Apply 5 lbs per 100 sq. ft.`,
    figures: ['N element 2.4 %', 'Ca element 1.1–1.6 %'],
    packages: ['40 lb'],
    grade: '2.5-0.5-2.5',
  },
  {
    name: 'a Spanish liquid, by mass and by volume',
    text: `ABONO ORGÁNICO LÍQUIDO "VEGA ALTA"
Nitrógeno (N) total ........ 3,0 % p/p (3,6 % p/v)
Nitrógeno orgánico ......... 2,5 % p/p
Óxido de potasio (K2O) ..... 6,0 % p/p (7,2 % p/v)
Carbono orgánico ........... 12 % p/p
Extracto húmico total ...... 8 % p/p
Densidad: 1,20 g/cc a 20 ºC
Contenido neto: 5 L / 6 kg
Metales pesados: clase A. Contenidos inferiores a los límites`,
    figures: ['N element 3 %', 'N.waterInsoluble element 2.5 %', 'K K2O 6 %'],
    packages: ['5 L'],
  },
  {
    name: 'lime granules',
    text: `Kalkgranulat / Lime granules
CaCO3 85%  MgCO3 5%
Neutralising value 51 (CaO)
Moisture <2%
Sieve: 97% passes 2 mm, 50% passes 0.1 mm
20 kg
Usage 150g/m²`,
    figures: ['Ca CaCO3 85 %', 'Mg MgCO3 5 %'],
    packages: ['20 kg'],
  },
  {
    name: 'bat guano',
    text: `Bat guano powder NPK 0.5-12-0.2
total nitrogen 0,5%
total phosphorus (as P2O5) 12%
water soluble phosphorus 3.1%
total potassium (K2O) 0.2%
calcium 15% CaO
Organic matter: 30%
Heavy metals (mg/kg): Cd 8; Pb 12; Ni 20; As 4; Hg 0,1; Cr(VI) n.d.
Net: 1 kg / 2.2 lb`,
    figures: [
      'N element 0.5 %',
      'P P2O5 12 %',
      'K K2O 0.2 %',
      'Ca CaO 15 %',
      'Cd element 8 mg/kg',
      'Pb element 12 mg/kg',
      'Ni element 20 mg/kg',
      'As element 4 mg/kg',
      'Hg element 0.1 mg/kg',
    ],
    packages: ['1 kg'],
    grade: '0.5-12-0.2',
  },
  {
    name: 'a tomato feed',
    text: `Tomato & Veg Liquid Feed
NPK 4-3-8 with seaweed
Total Nitrogen (N) 4.0%
 Nitric N 1.2%, Ureic N 2.8%
P2O5 3.0% (1.3% P)
K2O 8.0% (6.6% K)
Chelated Fe 0.03%
Dilute 20ml in 4.5 litres of water
1 litre e`,
    figures: [
      'N element 4 %',
      'N.nitrate element 1.2 %',
      'N.urea element 2.8 %',
      'P P2O5 3 %',
      'K K2O 8 %',
      'Fe element 0.03 %',
    ],
    packages: ['1 L'],
    grade: '4-3-8',
  },
  {
    name: 'an Italian potash',
    text: `Concime CE - Solfato potassico
Ossido di potassio (K2O) solubile in acqua 50%
Anidride solforica (SO3) solubile in acqua 45%
A basso tenore di cloro
Peso netto: kg 25`,
    figures: ['K K2O 50 %', 'S SO3 45 %'],
    packages: ['25 kg'],
  },
  {
    name: 'a Dutch compost, its metals on dry matter',
    text: `Meststof: Compost (GFT)
Droge stof 68,0 %
Organische stof 24,1 % van het product
N-totaal 9,8 g/kg product
P2O5 4,4 g/kg product
K2O 7,7 g/kg product
MgO 3,2 g/kg
Cd 0,4 mg/kg ds
Pb 41 mg/kg ds`,
    figures: [
      'N element 9.8 g/kg',
      'P P2O5 4.4 g/kg',
      'K K2O 7.7 g/kg',
      'Mg MgO 3.2 g/kg',
      'Cd element 0.272 mg/kg',
      'Pb element 27.88 mg/kg',
    ],
  },
];
