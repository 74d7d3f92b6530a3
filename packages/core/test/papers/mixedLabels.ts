import type { Paper } from './paper.js';

/** Tags, certificates, mails and bags in two columns. */
export const MIXED_LABELS: readonly Paper[] = [
  {
    name: 'a feed tag with limits on two lines',
    text: `CALF STARTER PELLETS 18%   (feed tag)
For calves from birth to 12 weeks
GUARANTEED ANALYSIS
Crude Protein, not less than ..................... 18.0 %
 (This includes not more than 1.5% equivalent crude protein from non-protein nitrogen)
Crude Fat, not less than .......................... 3.0 %
Crude Fiber, not more than ........................ 8.0 %
Calcium, not less than ............................ 0.7 %
Calcium, not more than ............................ 1.2 %
Phosphorus, not less than ......................... 0.5 %
Salt, not less than ............................... 0.4 %
Salt, not more than ............................... 0.9 %
Sodium, max 0.5 %
Selenium, not less than .......................... 0.3 ppm
Vitamin A, not less than ........................ 4000 IU/lb
INGREDIENTS
Grain products, plant protein products, molasses products, calcium carbonate
NET WEIGHT 50 LB (22.68 kg)`,
    figures: [
      'N element 2.88 %',
      'Ca element 0.7–1.2 %',
      'P element 0.5 %',
      'Na element 0–0.5 %',
      'Se element 0.3 mg/kg',
    ],
    packages: ['50 lb'],
  },
  {
    name: 'a Spanish organic liquid with metals on dry matter',
    text: `ABONO LÍQUIDO ECOLÓGICO "BRISA VERDE"
Abono orgánico NPK de origen animal y vegetal 3-1-5
CONTENIDO DECLARADO (p/p):
Nitrógeno (N) total ......... 3,0 %
   Nitrógeno (N) orgánico ... 2,8 %
   Nitrógeno (N) amoniacal .. 0,2 %
Pentóxido de fósforo (P2O5) total ... 1,0 %
Óxido de potasio (K2O) total ........ 5,0 %
Carbono orgánico .................... 18 %
Aminoácidos libres ................... 6 %
C/N: 6      pH: 5,5     Densidad: 1,22 kg/L
Contiene: extracto de vinaza, hidrolizado de plumas
Metales pesados: clase A. Contenido en cobre 12 mg/kg ms, cinc 85 mg/kg ms, cadmio < 0,7 mg/kg ms
Dosis: riego 20-40 l/ha cada 15 días. Macetas: 10 ml por litro de agua
Contenido neto: 5 L (6,1 kg)
Nº de lote: 23/118   Fabricado por Brisa Verde S.L., Ctra. N-340 km 12`,
    figures: [
      'N element 3 %',
      'N.waterInsoluble element 2.8 %',
      'N.ammoniacal element 0.2 %',
      'P P2O5 1 %',
      'K K2O 5 %',
    ],
    packages: ['5 L'],
    grade: '3-1-5',
  },
  {
    name: 'a Dutch organic fertilizer with two bags',
    text: `Organische meststof NPK 7-4-12 + 3 MgO
Gehalten:
7 % N totaal stikstof (5,6 % organische stikstof, 1,4 % ammoniakale stikstof)
4 % P2O5 totaal fosforzuuranhydride
12 % K2O in water oplosbaar kaliumoxide
3 % MgO totaal magnesiumoxide
14 % SO3 totaal zwaveltrioxide
45 % organische stof
Dosering: moestuin 1 kg per 10 m², gazon 0,75 kg per 10 m², kuipplanten 30 g per plant
Inhoud 10 kg (goed voor 100 m²). Zak 20 kg ook verkrijgbaar.`,
    figures: [
      'N element 7 %',
      'N.waterInsoluble element 5.6 %',
      'N.ammoniacal element 1.4 %',
      'P P2O5 4 %',
      'K K2O 12 %',
      'Mg MgO 3 %',
      'S SO3 14 %',
    ],
    packages: ['10 kg', '20 kg'],
    grade: '7-4-12 + 3 MgO',
  },
  {
    name: 'a certificate with its specification',
    measured: true,
    text: `Certificate of Analysis
Product: Potassium sulfate, soluble fines       Batch: PS-2291-B
                                   Specification        Result      Method
K2O (water soluble)                min 51.0 %           51.8 %      ISO 5318
Potassium (K)                      min 42.3 %           43.0 %
Sulphate (SO4)                     min 54.0 %           55.1 %
Sulphur (S)                        min 18.0 %           18.4 %
Chloride (Cl)                      max 1.0 %            0.62 %
Sodium (Na)                        max 0.5 %            0.21 %
Insolubles                         max 0.1 %            0.04 %
Moisture                           max 0.5 %            0.12 %
Arsenic (As)                       max 5 mg/kg          < 0.5 mg/kg
Lead (Pb)                          max 10 mg/kg         0.8 mg/kg
pH (5 % solution)                  3.0 - 7.0            5.4
Bulk density 1.3 t/m3
Packed in 25 kg bags, 40 bags per pallet`,
    figures: [
      'K K2O 51.8 %',
      'K element 43 %',
      'S SO4 55.1 %',
      'Cl element 0.62 %',
      'Na element 0.21 %',
      'As element <0.5 mg/kg',
      'Pb element 0.8 mg/kg',
    ],
    packages: ['25 kg'],
  },
  {
    name: 'a Swedish bag in two columns',
    text: `Kombinerad gödsel - trädgård
NPK 11-5-18 mikro
Kväve (N) totalt    11,0 %     Magnesium (Mg)   1,6 %
 nitratkväve         4,4 %     Svavel (S)      10,0 %
 ammoniumkväve       6,6 %     Bor (B)          0,05 %
Fosfor (P)           4,6 %     Koppar (Cu)      0,03 %
 vattenlöslig        3,5 %     Järn (Fe)        0,08 %
Kalium (K)          17,6 %     Mangan (Mn)      0,25 %
Klor (Cl) högst      1,5 %     Molybden (Mo)    0,002 %
                               Zink (Zn)        0,04 %
Dosering: 5-8 kg per 100 m²
Nettovikt 15 kg`,
    figures: [
      'N element 11 %',
      'N.nitrate element 4.4 %',
      'N.ammoniacal element 6.6 %',
      'P element 4.6 %',
      'K element 17.6 %',
      'Cl element 0–1.5 %',
      'Mg element 1.6 %',
      'S element 10 %',
      'B element 0.05 %',
      'Cu element 0.03 %',
      'Fe element 0.08 %',
      'Mn element 0.25 %',
      'Mo element 0.002 %',
      'Zn element 0.04 %',
    ],
    packages: ['15 kg'],
    grade: '11-5-18',
  },
  {
    name: 'results in a few words of mail',
    measured: true,
    text: `chicken litter from Darnley farm - results by email
moisture 27.4, total N 2.91 (as is), ammonium N .48
P2O5 2.6  K2O 2.3   all % as is
Ca 2.1% Mg .44% S .39%
Cu 310 ppm, Zn 345 ppm
58.2 lb N per ton
C/N 9:1`,
    figures: [
      'N element 2.91 %',
      'N.ammoniacal element 0.48 %',
      'P P2O5 2.6 %',
      'K K2O 2.3 %',
      'Ca element 2.1 %',
      'Mg element 0.44 %',
      'S element 0.39 %',
      'Cu element 310 mg/kg',
      'Zn element 345 mg/kg',
    ],
  },
  {
    name: 'kilograms in a thousand kilograms',
    measured: true,
    text: `Per 1000 kg (wet) the material contains:
4.8 kg N (of which 2.9 kg NH4-N)
1.9 kg P2O5
5.6 kg K2O
1.1 kg MgO
0.7 kg SO3
Dry matter 7.2 %`,
    figures: [
      'N element 0.48 %',
      'N.ammoniacal element 0.29 %',
      'P P2O5 0.19 %',
      'K K2O 0.56 %',
      'Mg MgO 0.11 %',
      'S SO3 0.07 %',
    ],
  },
  {
    name: 'a mix of chelates with totals beside',
    text: `Trace element mix, fully chelated
Composition (% w/w)
        Total   Chelated   Agent
Fe      7.0     7.0        DTPA
Mn      3.5     3.5        EDTA
Zn      0.6     0.6        EDTA
Cu      0.4     0.4        EDTA
B       0.7     -          -
Mo      0.3     -          -
Stable between pH 2 and 7. Dose 20 g per 1000 L
Contents: 1 kg`,
    figures: [
      'Fe element 7 %',
      'Mn element 3.5 %',
      'Zn element 0.6 %',
      'Cu element 0.4 %',
      'B element 0.7 %',
      'Mo element 0.3 %',
    ],
    packages: ['1 kg'],
  },
  {
    name: 'a Spanish compost sheet on dry matter',
    measured: true,
    text: `Composta vegetal                        Expediente: 4417/2023
Parámetro                Resultado    Unidad        Límite
Humedad                  38,2         %             < 40
Materia orgánica         46,5         % s.m.s.      > 35
Nitrógeno total          1,92         % s.m.s.
P2O5 total               1,15         % s.m.s.
K2O total                1,74         % s.m.s.
Conductividad (1:5)      4,8          dS/m
Cadmio                   0,42         mg/kg s.m.s.  2,0
Cobre                    71           mg/kg s.m.s.  300
Plomo                    33           mg/kg s.m.s.  150
Salmonella en 25 g       Ausencia`,
    figures: [
      'N element 1.18656 %',
      'P P2O5 0.7107 %',
      'K K2O 1.07532 %',
      'Cd element 0.25956 mg/kg',
      'Cu element 43.878 mg/kg',
      'Pb element 20.394 mg/kg',
    ],
  },
  {
    name: 'tree tablets in capitals',
    text: `Slow-Feed Tree Tablets 20-10-5
TOTAL NITROGEN .......... 20%
 7.0% WATER SOLUBLE ORGANIC NITROGEN
13.0% WATER INSOLUBLE NITROGEN
AVAILABLE PHOSPHORIC ACID (P2O5) .......... 10%
SOLUBLE POTASH (K2O) .......... 5%
CALCIUM (Ca) (COMBINED) .......... 2.6%
SULFUR (S) (COMBINED) .......... 1.6%
IRON (Fe) (EXPRESSED AS ELEMENTAL) .......... 0.35%
POTENTIAL ACIDITY 350 lbs. calcium carbonate equivalent per ton
Each tablet weighs 21 grams. 500 tablets per case.
One gallon container: 1 to 2 tablets. 15 gallon container: 6 to 8 tablets.`,
    figures: [
      'N element 20 %',
      'N.waterSolubleOrganic element 7 %',
      'N.waterInsoluble element 13 %',
      'P P2O5 10 %',
      'K K2O 5 %',
      'Ca element 2.6 %',
      'S element 1.6 %',
      'Fe element 0.35 %',
    ],
    grade: '20-10-5',
  },
];
