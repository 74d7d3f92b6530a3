import type { Paper } from './paper.js';

/** Labels as long as bags have them, with directions, addresses and batches. */
export const LONG_LABELS: readonly Paper[] = [
  {
    name: 'a lawn food of thirty lines',
    text: `HARROW & VALE
Premium Lawn Food with Slow Release Nitrogen
24-0-11
Covers up to 15,000 sq. ft.

GUARANTEED ANALYSIS                               F1187
Total Nitrogen (N) ............................ 24.00%
   1.20% Ammoniacal Nitrogen
   15.60% Urea Nitrogen
   7.20% Other Water Soluble Nitrogen*
Soluble Potash (K2O) .......................... 11.00%
Sulfur (S) ..................................... 4.00%
   4.00% Combined Sulfur (S)
Iron (Fe) ...................................... 2.00%
   0.02% Water Soluble Iron (Fe)
Manganese (Mn) ................................. 0.50%
   0.05% Water Soluble Manganese (Mn)
Derived from: ammonium sulfate, urea, methylene urea, muriate of potash,
iron sucrate, iron oxide, manganese sucrate.
Chlorine (Cl) not more than ................... 9.00%
*7.20% slowly available nitrogen from methylene urea.

Spreader settings: Rotary 4 1/2   Drop 6
Apply at 3.2 lbs per 1,000 sq ft. Repeat every 6-8 weeks.
Information regarding the contents and levels of metals in this product is
available on the internet. Lot 22B-0419.
NET WEIGHT 48 LB (21.77 KG)`,
    figures: [
      'N element 24 %',
      'N.ammoniacal element 1.2 %',
      'N.urea element 15.6 %',
      'N.waterSolubleOrganic element 7.2 %',
      'N.coated element 7.2 %',
      'K K2O 11 %',
      'S element 4 %',
      'Fe element 2 %',
      'Mn element 0.5 %',
      'Cl element 0–9 %',
    ],
    packages: ['48 lb'],
    grade: '24-0-11',
  },
  {
    name: 'a German compound with its citrate and water parts',
    text: `Volldünger NPK (Mg S) 12+8+16(+3+10) mit Spurennährstoffen
EG-Düngemittel
12 % N Gesamtstickstoff
     5,5 % N Nitratstickstoff
     6,5 % N Ammoniumstickstoff
 8 % P2O5 neutral-ammoncitratlösliches und wasserlösliches Phosphat
     6,4 % P2O5 wasserlösliches Phosphat
16 % K2O wasserlösliches Kaliumoxid
 3 % MgO Gesamt-Magnesiumoxid
     2 % MgO wasserlösliches Magnesiumoxid
10 % S Gesamtschwefel
     8 % S wasserlöslicher Schwefel
0,02 % B Bor
0,06 % Fe Eisen
0,01 % Zn Zink
Anwendung: Gemüse 40 – 60 g/m², Rasen 30 g/m² alle 8 Wochen, Obst 80 g je Strauch
Lagerung: trocken, nicht über 30 °C. Nettogewicht: 25 kg
Hersteller: Kornblum Düngewerke, Am Hafen 12, 26725 Nordhaven, Tel. 0491 555 0123
Chargennr. L240311`,
    figures: [
      'N element 12 %',
      'N.nitrate element 5.5 %',
      'N.ammoniacal element 6.5 %',
      'P P2O5 8 %',
      'K K2O 16 %',
      'Mg MgO 3 %',
      'S element 10 %',
      'B element 0.02 %',
      'Fe element 0.06 %',
      'Zn element 0.01 %',
    ],
    packages: ['25 kg'],
    grade: '12-8-16',
  },
  {
    name: 'a French organic bag with rates per plant',
    text: `ENGRAIS ORGANIQUE NFU 42-001 NPK 5-3-8
Utilisable en agriculture biologique conformément au règlement (UE) 2018/848
Azote (N) total 5 % dont azote organique 4,8 % et azote ammoniacal 0,2 %
Anhydride phosphorique (P2O5) total 3 %
Oxyde de potassium (K2O) soluble dans l'eau 8 % (origine vinasse)
Oxyde de magnésium (MgO) total 1,5 %
Matière organique 60 % - Matière sèche 92 % - C/N 6,8
Humidité max 8 %
Chlore (Cl) inférieur à 2 %
pH 6,5
Matières premières : farine de plumes, tourteaux, vinasse de betterave, sulfate de potasse
Doses : potager 80 à 120 g/m² ; rosiers 100 g par pied ; gazon 50 g/m²
1 poignée = 40 g environ
Poids net 10 kg e. Sac de 10 kg pour 100 m²
Lot 0523-7, à conserver entre 5 et 25 °C`,
    figures: [
      'N element 5 %',
      'N.waterInsoluble element 4.8 %',
      'N.ammoniacal element 0.2 %',
      'P P2O5 3 %',
      'K K2O 8 %',
      'Mg MgO 1.5 %',
      'Cl element <2 %',
    ],
    packages: ['10 kg'],
    grade: '5-3-8',
  },
  {
    name: 'three languages on one bottle, by weight and by volume',
    text: `FOLHA VERDE fertilizante líquido / abono líquido / liquid fertilizer
NPK 7-3-6 + oligoelementos/micronutrients
Azoto (N) total / Nitrógeno total / Total nitrogen: 7% p/p (8,1% p/v)
   nítrico / nítrico / nitric: 2,1% (2,4% p/v)
   amoniacal: 1,4% (1,6% p/v)
   ureico: 3,5% (4,1% p/v)
P2O5 solúvel em água / soluble en agua / water soluble: 3% (3,5% p/v)
K2O solúvel em água / soluble en agua / water soluble: 6% (7,0% p/v)
B 0,01%  Cu (EDTA) 0,002%  Fe (DTPA) 0,02%  Mn (EDTA) 0,01%  Mo 0,001%  Zn (EDTA) 0,002%
Densidade / densidad / density: 1,16 g/cm3   pH: 6,4
Dose: 10 ml por 2 L de água, cada 7-15 dias
Conteúdo líquido / contenido neto / net content: 1 L e (1,16 kg)`,
    figures: [
      'N element 7 %',
      'N.nitrate element 2.1 %',
      'N.ammoniacal element 1.4 %',
      'N.urea element 3.5 %',
      'P P2O5 3 %',
      'K K2O 6 %',
      'B element 0.01 %',
      'Cu element 0.002 %',
      'Fe element 0.02 %',
      'Mn element 0.01 %',
      'Mo element 0.001 %',
      'Zn element 0.002 %',
    ],
    packages: ['1 L'],
    grade: '7-3-6',
  },
  {
    name: 'bone and blood meal in pounds and ounces',
    text: `BONE & BLOOD MEAL 6-8-0
"All natural"
Guaranteed Minimum Analysis:
  Total Nitrogen (N) . . . . . . . 6.0%
    0.4% Water Soluble Nitrogen
    5.6% Water Insoluble Nitrogen
  Available Phosphate (P₂O₅) . . . 8.0%
  Calcium (Ca) . . . . . . . . . . 12%
Derived from steamed bone meal and dried blood.
Directions: Vegetables - mix 5 lbs per 100 sq. ft. Roses - 1 cup (approx. 5 oz) per plant.
Trees: 1 lb. per inch of trunk diameter. 1 Tbsp = 0.4 oz.
NET WT 4 lbs 8 oz (2.04 kg)`,
    figures: [
      'N element 6 %',
      'N.waterSolubleOrganic element 0.4 %',
      'N.waterInsoluble element 5.6 %',
      'P P2O5 8 %',
      'Ca element 12 %',
    ],
    packages: ['4.5 lb'],
    grade: '6-8-0',
  },
  {
    name: 'composted pellets with ceilings for metals',
    text: `FIELDROW SUPER COMPOSTED PELLETS
Typical analysis (w/w)
N 4.2% P 2.1% K 1.8% Ca 9.1% Mg 0.6% S 0.7%
Trace elements: Fe 1400 mg/kg, Mn 410 mg/kg, Zn 380 mg/kg, Cu 65 mg/kg, B 30 mg/kg
Contains: composted layer manure pellets. Organic carbon 32%, moisture 10%.
Maximum: Cd 1 mg/kg; Pb 10 mg/kg; Hg 0.1 mg/kg
Cadmium per kg of phosphorus: 40 mg
Application rate: broadacre 250-500 kg/ha; gardens 1 handful (50g) per sq metre
Net 25kg`,
    figures: [
      'N element 4.2 %',
      'P element 2.1 %',
      'K element 1.8 %',
      'Ca element 9.1 %',
      'Mg element 0.6 %',
      'S element 0.7 %',
      'Fe element 1400 mg/kg',
      'Mn element 410 mg/kg',
      'Zn element 380 mg/kg',
      'Cu element 65 mg/kg',
      'B element 30 mg/kg',
      'Cd element 0–1 mg/kg',
      'Pb element 0–10 mg/kg',
      'Hg element 0–0.1 mg/kg',
    ],
    packages: ['25 kg'],
  },
  {
    name: 'dolomite as carbonates, elements and oxides',
    text: `Dolomitic limestone, pulverized
Calcium carbonate (CaCO3)      54.0 %
Magnesium carbonate (MgCO3)    42.5 %
Calcium (Ca)  21.6 %
Magnesium (Mg) 12.2 %
CaO 30.2 %   MgO 20.3 %
Al2O3 0.4 %  Fe2O3 0.3 %  SiO2 1.1 %
Calcium Carbonate Equivalent (CCE)  104 %
Neutralising value (as CaO) 58
Moisture 0.5% max
Passing 20 mesh 99%
Passing 60 mesh 82%
Passing 100 mesh 65%
Effective Neutralizing Value 96
Net weight 40 lb`,
    figures: ['Ca CaCO3 54 %', 'Mg MgCO3 42.5 %', 'Fe Fe2O3 0.3 %', 'Si SiO2 1.1 %'],
    packages: ['40 lb'],
  },
  {
    name: 'a Polish universal fertilizer',
    text: `Nawóz ogrodniczy uniwersalny
NPK (MgO, SO3) 8-12-20 (2-25) z mikroelementami
Skład / Composition:
azot całkowity (N) 8,0%, w tym azot amonowy 6,0%, azot azotanowy 2,0%
pięciotlenek fosforu (P2O5) rozpuszczalny w obojętnym roztworze cytrynianu amonu i w wodzie 12,0%
pięciotlenek fosforu rozpuszczalny w wodzie 9,0%
tlenek potasu (K2O) rozpuszczalny w wodzie 20,0%
tlenek magnezu (MgO) całkowity 2,0%
trójtlenek siarki (SO3) całkowity 25,0%
bor (B) 0,02%, miedź (Cu) 0,01%, żelazo (Fe) 0,1%, mangan (Mn) 0,05%, cynk (Zn) 0,02%
Zawartość chlorków poniżej 2%
Masa netto: 5 kg (±3%)
Dawkowanie: 30-50 g/m2, 3 razy w sezonie
Numer partii 118/24`,
    figures: [
      'N element 8 %',
      'N.ammoniacal element 6 %',
      'N.nitrate element 2 %',
      'P P2O5 12 %',
      'K K2O 20 %',
      'Mg MgO 2 %',
      'S SO3 25 %',
      'B element 0.02 %',
      'Cu element 0.01 %',
      'Fe element 0.1 %',
      'Mn element 0.05 %',
      'Zn element 0.02 %',
      'Cl element <2 %',
    ],
    packages: ['5 kg'],
    grade: '8-12-20',
  },
  {
    name: 'a fish and kelp concentrate by volume',
    text: `Kelp & Fish Liquid
Concentrate - dilute 1:200
Typical Analysis W/V
Total N .......... 9.8 %
  as ammonium .... 1.1 %
  as nitrate ..... 0.2 %
  as urea ........ 6.5 %
  as organic ..... 2.0 %
Total P .......... 2.2 %  (0.9 % as phosphate)
Total K .......... 6.8 %  as potassium chloride
Ca .... 0.1 %   Mg .... 0.05 %
Fe 320 mg/L  Mn 110 mg/L  Zn 90 mg/L  B 45 mg/L
S.G. 1.18
Contents 20 L
Dilute 100 mL to 9 L water. One 9 L can covers 5 m2.`,
    figures: [
      'N element 9.8 % w/v',
      'N.ammoniacal element 1.1 % w/v',
      'N.nitrate element 0.2 % w/v',
      'N.urea element 6.5 % w/v',
      'N.waterInsoluble element 2 % w/v',
      'P element 2.2 % w/v',
      'K element 6.8 % w/v',
      'Ca element 0.1 % w/v',
      'Mg element 0.05 % w/v',
      'Fe element 0.32 g/L',
      'Mn element 0.11 g/L',
      'Zn element 0.09 g/L',
      'B element 0.045 g/L',
    ],
    packages: ['20 L'],
  },
  {
    name: 'an Italian organo-mineral fertilizer',
    text: `Concime organo-minerale NPK 10-5-15 a basso tenore di cloro
Azoto (N) totale 10%
 di cui: Azoto (N) organico 2%
         Azoto (N) ammoniacale 4%
         Azoto (N) ureico 4%
Anidride fosforica (P2O5) solubile in citrato ammonico neutro e in acqua 5%
Ossido di potassio (K2O) solubile in acqua 15%
Anidride solforica (SO3) solubile in acqua 20%
Carbonio (C) organico di origine biologica 7,5%
Boro (B) totale 0,1%; Zinco (Zn) totale 0,01%
Componenti organiche: cuoio idrolizzato
Peso netto: kg 25
Dosi: orto 8-10 kg per 100 m²; prato 40 g/mq`,
    figures: [
      'N element 10 %',
      'N.waterInsoluble element 2 %',
      'N.ammoniacal element 4 %',
      'N.urea element 4 %',
      'P P2O5 5 %',
      'K K2O 15 %',
      'S SO3 20 %',
      'B element 0.1 %',
      'Zn element 0.01 %',
    ],
    packages: ['25 kg'],
    grade: '10-5-15',
  },
];
