/** Files of loggers as their rows come, with what a careful reader takes from them: days and one value each. */
export interface LoggerFile {
  readonly name: string;
  readonly rows: readonly (readonly string[])[];
  readonly from: string;
  readonly days: number;
  /** Of the first day, by what was logged. */
  readonly first: Readonly<Record<string, number>>;
}
const rows = (text: string, by = ','): readonly (readonly string[])[] => text.split('\n').map((r) => r.split(by));

export const LOGGER_FILES: readonly LoggerFile[] = [
  {
    name: 'English with a 12-hour clock',
    rows: rows(
      'Date Time,Soil Temp (°C),Rain (mm)\n05/14/2026 6:00 AM,9.5,0\n05/14/2026 6:00 PM,12.5,2.2\n05/15/2026 6:00 AM,10,0',
    ),
    from: '2026-05-14',
    days: 2,
    first: { soilC: 11, rainMm: 2.2 },
  },
  {
    name: 'German with semicolons and commas',
    rows: rows(
      'Zeitstempel;Bodentemperatur 10 cm (°C);Niederschlag (mm)\n14.05.2026 06:00;9,5;0,0\n14.05.2026 18:00;12,5;3,4',
      ';',
    ),
    from: '2026-05-14',
    days: 1,
    first: { soilC: 11, rainMm: 3.4 },
  },
  {
    name: 'French with an hour column',
    rows: rows('Date;Heure;Température du sol;Pluie (mm)\n14/05/2026;06:00;9,5;0\n15/05/2026;06:00;10,5;1,2', ';'),
    from: '2026-05-14',
    days: 2,
    first: { soilC: 9.5, rainMm: 0 },
  },
  {
    name: 'Spanish in ISO',
    rows: rows('fecha,temperatura del suelo (°C),lluvia (mm),ETo (mm)\n2026-05-14,15.2,0,4.1\n2026-05-15,15.8,6.4,2.2'),
    from: '2026-05-14',
    days: 2,
    first: { soilC: 15.2, rainMm: 0, etMm: 4.1 },
  },
  {
    name: 'Italian air and rain',
    rows: rows('Data;Ora;Temp. aria °C;Pioggia mm\n14/05/2026;12:00;21,4;0,2\n16/05/2026;12:00;19,0;0', ';'),
    from: '2026-05-14',
    days: 2,
    first: { airC: 21.4, rainMm: 0.2 },
  },
  {
    name: 'Dutch with the newest first',
    rows: rows(
      'Datum;Bodemtemperatuur;Neerslag (mm)\n16-05-2026;12,0;0\n15-05-2026;11,0;4,5\n14-05-2026;10,0;1,5',
      ';',
    ),
    from: '2026-05-14',
    days: 3,
    first: { soilC: 10, rainMm: 1.5 },
  },
  {
    name: 'Polish',
    rows: rows('Data;Temperatura gleby [°C];Opad [mm]\n2026-05-14 08:00;11,5;0,8\n2026-05-14 20:00;12,5;0,2', ';'),
    from: '2026-05-14',
    days: 1,
    first: { soilC: 12, rainMm: 1 },
  },
  {
    name: 'Swedish with zones',
    rows: rows('tid,marktemperatur,regn mm\n2026-05-14T06:00:00+02:00,8.5,0\n2026-05-14T18:00:00+02:00,9.5,1.4'),
    from: '2026-05-14',
    days: 1,
    first: { soilC: 9, rainMm: 1.4 },
  },
  {
    name: 'American units under a title',
    rows: rows('Station 12,,\nSerial 0041,,\nDate,Soil temp °F,Rain (in)\n2026-05-14,50,0.5\n2026-05-15,52,0'),
    from: '2026-05-14',
    days: 2,
    first: { soilC: 10, rainMm: 12.7 },
  },
  {
    name: 'Portuguese with other sensors beside',
    rows: rows(
      'data;temperatura do solo;umidade do solo;chuva (mm)\n14/05/2026;18,5;32;0\n15/05/2026;19,5;31;7,5',
      ';',
    ),
    from: '2026-05-14',
    days: 2,
    first: { soilC: 18.5, rainMm: 0 },
  },
  {
    name: 'Polish with humidity and evapotranspiration',
    rows: rows(
      'Stacja meteo;Ogród\nData pomiaru;Temp. gleby 10cm [°C];Opad [mm];Wilgotność [%];ET0 (mm)\n01.05.2025 00:00;9,4;0,0;78;\n01.05.2025 12:00;13,1;1,2;65;2,1',
      ';',
    ),
    from: '2025-05-01',
    days: 1,
    first: { soilC: 11.25, rainMm: 1.2, etMm: 2.1 },
  },
  {
    name: 'units and kinds of sums in rows of their own',
    rows: rows(
      'TIMESTAMP,RECORD,SoilTemp_Avg,Rain_Tot,SWP_kPa\nTS,RN,Deg F,mm,kPa\n,,Avg,Tot,Smp\n2025-05-01T00:00:00Z,1,50,0,-12\n2025-05-01T01:00:00Z,2,52,0.2,-12',
    ),
    from: '2025-05-01',
    days: 1,
    first: { soilC: 10.556, rainMm: 0.2 },
  },
  {
    name: 'French with a total that runs on',
    rows: rows(
      'Jour;T sol (°C);Pluie cumulée (mm);ETP\n11/6/2025;15,2;10,0;3,1\n12/6/2025;15,9;12,4;3,3\n13/6/2025;16,4;12,4;3,0\n14/6/2025;16,8;20,4;2,2\n15/6/2025;17,1;20,4;3,8\n16/6/2025;17,3;20,6;3,9',
      ';',
    ),
    from: '2025-06-11',
    days: 6,
    first: { soilC: 15.2, rainMm: 0, etMm: 3.1 },
  },
];
