import type { Paper } from './paper.js';

/** Lab sheets whose parts have to be weighed against each other. */
export const WEIGHED_SHEETS: readonly Paper[] = [
  {
    name: 'a French compost sheet, as received and dry',
    measured: true,
    text: `Laboratoire Verte-Lande
Rapport d'analyse n° 2023-4471
Compost de déchets verts
Paramètre            Unité     Résultat sur brut   Résultat sur sec
Matière sèche        %         61,3
Azote total (N)      %         0,92                1,50
dont N-NH4           mg/kg     145                 237
Phosphore (P2O5)     %         0,41                0,67
Potassium (K2O)      %         0,74                1,21
Calcium (CaO)        %         3,05                4,98
Magnésium (MgO)      %         0,31                0,51
Rapport C/N                    14,2
pH (eau)                       8,1
Cadmium (Cd)         mg/kg     0,25                0,41
Plomb (Pb)           mg/kg     18,4                30,0
Mercure (Hg)         mg/kg     < 0,06              < 0,10`,
    figures: [
      'N element 0.92 %',
      'N.ammoniacal element 145 mg/kg',
      'P P2O5 0.41 %',
      'K K2O 0.74 %',
      'Ca CaO 3.05 %',
      'Mg MgO 0.31 %',
      'Cd element 0.25 mg/kg',
      'Pb element 18.4 mg/kg',
      'Hg element <0.06 mg/kg',
    ],
  },
  {
    name: 'layer manure in pounds a ton',
    measured: true,
    text: `Analysis Report   Client: Hollin Farm   Lab no. 88213
Layer manure, fresh
Results "as is", lbs/ton
Total N 38
Ammonium-N 12.4
P2O5 41
K2O 29
Moisture 44.6 %
Ash 21.2%
Organic carbon 24.0 %
C:N 12.6`,
    figures: ['N element 19 g/kg', 'N.ammoniacal element 6.2 g/kg', 'P P2O5 20.5 g/kg', 'K K2O 14.5 g/kg'],
  },
  {
    name: 'a German digestate, fresh and dry',
    measured: true,
    text: `Prüfbericht 24-0815
Probe: Gärrest flüssig
Parameter       Einheit   FM      TM
Trockensubstanz %         6,2     100
Stickstoff ges. kg/t      5,1     82,3
NH4-N           kg/t      3,2     51,6
P2O5            kg/t      1,9     30,6
K2O             kg/t      4,8     77,4
MgO             kg/t      0,7     11,3
Cu              mg/kg     4,3     69
Zn              mg/kg     18      290`,
    figures: [
      'N element 5.1 g/kg',
      'N.ammoniacal element 3.2 g/kg',
      'P P2O5 1.9 g/kg',
      'K K2O 4.8 g/kg',
      'Mg MgO 0.7 g/kg',
      'Cu element 4.3 mg/kg',
      'Zn element 18 mg/kg',
    ],
  },
  {
    name: 'a certificate of a meal with its limits',
    measured: true,
    text: `CERTIFICATE OF ANALYSIS  COA-20931
Product: Soybean meal 47     Lot: 7781-A
Test                Method       Result     Spec
Protein (N x 6.25)  AOAC 990.03  46.8 %     min 46.5
Moisture            AOAC 930.15  11.9 %     max 12.5
Fat                 AOAC 920.39   1.4 %
Crude fibre         AOAC 978.10   3.6 %     max 4.0
Ash                 AOAC 942.05   6.1 %
Phosphorus, total   ICP          0.64 %
Potassium           ICP          2.15 %`,
    figures: ['N element 7.49 %', 'P element 0.64 %', 'K element 2.15 %'],
  },
  {
    name: 'a compost sheet of four columns',
    measured: true,
    text: `Compost test report – US units
                          As rcvd    Dry wt.    As rcvd   Dry wt.
                          basis      basis      lbs/ton   lbs/ton
Total N            %       1.12       1.87       22.4      37.4
Organic N          %       1.05       1.75       21.0      35.0
Ammonium N    mg/kg         640       1067
Nitrate N     mg/kg          21         35
P as P2O5          %       0.88       1.47       17.6      29.4
K as K2O           %       0.95       1.58       19.0      31.6
Moisture           %       40.1
pH                         7.9`,
    figures: [
      'N element 1.12 %',
      'N.waterInsoluble element 1.05 %',
      'N.ammoniacal element 640 mg/kg',
      'N.nitrate element 21 mg/kg',
      'P P2O5 0.88 %',
      'K K2O 0.95 %',
    ],
  },
  {
    name: 'wood ash with reporting limits',
    measured: true,
    text: `Sample ID     Wood ash A
Method        ICP-OES after HNO3 digestion
Element       Result (mg/kg)   RL
Calcium       248000           50
Potassium     56300            50
Magnesium     17800            10
Phosphorus    8120             10
Sodium        3410             20
Zinc          412              1
Lead          ND               2
Cadmium       3.1              0.5
CCE (%)       48.2`,
    figures: [
      'Ca element 248000 mg/kg',
      'K element 56300 mg/kg',
      'Mg element 17800 mg/kg',
      'P element 8120 mg/kg',
      'Na element 3410 mg/kg',
      'Zn element 412 mg/kg',
      'Pb element <2 mg/kg',
      'Cd element 3.1 mg/kg',
    ],
  },
];
