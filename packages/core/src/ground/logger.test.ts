import fc from 'fast-check';
import { loggerWord } from '../reading/index.js';
import { readLogger } from './logger.js';

test('a logger’s readings become days: temperatures averaged, rain summed, gaps left unmeasured', () => {
  const read = readLogger([
    ['Timestamp', 'Soil temp 10 cm (°C)', 'Rain (mm)', 'battery'],
    ['2026-05-01 06:00', '9.5', '1.2', '3.3'],
    ['2026-05-01 18:00', '12,5', '0.4', '3.3'],
    ['2026-05-03 06:00', '10', '', '3.2'],
    ['', '', '', ''],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    days: 2,
    problems: [],
    ignored: ['battery'],
    log: { from: '2026-05-01', series: { soilC: [11, null, 10], rainMm: [1.6, null, null] } },
  });
});

test('°F and inches are turned: 50 °F is 10 °C, half an inch 12.7 mm', () => {
  expect(
    readLogger([
      ['date', 'soil temperature °F', 'rain in'],
      ['14.3.2026', '50', '0.5'],
    ]),
  ).toMatchObject({ log: { from: '2026-03-14', series: { soilC: [10], rainMm: [12.7] } } });
});

test.each([
  ['no reading', [['date', 'soil °C']], /at least one reading/],
  ['no date', [['soil °C'], ['5']], /expected one that says date/],
  [
    'nothing known',
    [
      ['date', 'mood'],
      ['2026-01-01', 'fine'],
    ],
    /expected one such as soil/,
  ],
  [
    'no date that reads',
    [
      ['date', 'rain'],
      ['soon', '5'],
    ],
    /expected a date such as/,
  ],
  [
    'too long a span',
    [
      ['date', 'rain'],
      ['1950-01-01', '5'],
      ['2026-01-01', '5'],
    ],
    /at most 15000/,
  ],
  [
    'only bad cells',
    [
      ['date', 'rain'],
      ['2026-01-01', '−5000'],
    ],
    /expected 0 to 1000/,
  ],
])('a file with %s is refused in words', (_name, rows, words) =>
  expect(readLogger(rows)).toMatchObject({ kind: 'unreadable', reason: expect.stringMatching(words) }),
);

test('one date that can only be read one way tells how the others of the file are meant; dates that contradict are not guessed', () => {
  const days = (...dates: string[]) => {
    const read = readLogger([['date', 'rain'], ...dates.map((d) => [d, '1'])]);
    return read.kind === 'log' ? [read.log.from, read.days, read.problems.length] : read.reason;
  };
  expect(days('03/04/2026', '13/04/2026')).toEqual(['2026-04-03', 2, 0]);
  expect(days('03/04/2026', '03/13/2026')).toEqual(['2026-03-04', 2, 0]);
  expect(days('03/04/2026', '05/04/2026')).toMatch(/expected a date/);
  expect(days('03/04/2026', '13/04/2026', '04/13/2026')).toEqual(['2026-04-13', 1, 1]);
});
test('what a logger writes above its headings is passed over, a column of times is not taken for the dates, and rows keep their numbers', () => {
  const read = readLogger([
    ['Logger', 'LG-7'],
    ['Site', 'leek bed'],
    ['Time', 'Date', 'Soil temp °C'],
    ['06:00', '2026-05-01', '9'],
    ['06:00', '2026-05-02', 'E4'],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    log: { from: '2026-05-01', series: { soilC: [9, null] } },
    problems: [{ row: 5 }],
  });
});

test('the first word of a heading tells, and what is measured beside means nothing here', () => {
  expect(
    [
      'Rain at the soil station (mm)',
      'Air temp near soil',
      'Temp. du sol',
      'Soil moisture %',
      'Air humidity %',
      'Luftfeuchte',
      'Wind m/s',
      'ET0 mm',
    ].map(loggerWord),
  ).toEqual(['rainMm', 'airC', 'soilC', undefined, undefined, undefined, undefined, 'etMm']);
});

test('a bad cell is told by its row and leaves the rest', () => {
  const read = readLogger([
    ['date', 'soil °C'],
    ['2026-05-01', 'E4'],
    ['2026-05-02', '99'],
    ['2026-05-03', '12'],
  ]);
  expect(read).toMatchObject({
    kind: 'log',
    log: { series: { soilC: [null, null, 12] } },
    problems: [{ row: 2 }, { row: 3 }],
  });
});

test('never throws, whatever the cells', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.oneof(fc.string(), fc.constantFrom('date', 'rain', 'soil °C', '2026-05-01', '12'))), {
        maxLength: 6,
      }),
      (rows) => {
        expect(['log', 'unreadable']).toContain(readLogger(rows).kind);
      },
    ),
  );
});

test.each([
  ['Datum;Bodentemperatur °C;Niederschlag mm', ['soilC', 'rainMm']],
  ['Heure;Température du sol (°C);Pluie (mm)', ['soilC', 'rainMm']],
  ['Fecha;Temperatura del suelo;Lluvia mm', ['soilC', 'rainMm']],
  ['Data;Temperatura del terreno;Pioggia mm', ['soilC', 'rainMm']],
  ['Tijd;Bodemtemperatuur;Neerslag mm', ['soilC', 'rainMm']],
  ['Czas;Temperatura gleby;Opady mm', ['soilC', 'rainMm']],
  ['Tid;Marktemperatur;Nederbörd mm', ['soilC', 'rainMm']],
])('headings of %s', (heading, means) => {
  const read = readLogger([heading.split(';'), ['2026-05-01', '9.5', '3'], ['2026-05-02', '10.5', '0']]);
  if (read.kind !== 'log') throw new Error(read.reason);
  expect(Object.keys(read.log.series).sort()).toEqual([...means].sort());
  expect(read.log.series.rainMm).toEqual([3, 0]);
});

test('a total that runs on is told by its readings, and only what it grew by is rain', () => {
  const days = ['01', '02', '03', '04', '05', '06'];
  const rain = (heading: string, values: readonly number[]) => {
    const read = readLogger([['date', heading], ...days.map((d, i) => [`2026-05-${d}`, String(values[i])])]);
    if (read.kind !== 'log') throw new Error(read.reason);
    return read.log.series.rainMm;
  };
  expect(rain('Rain total mm', [10, 10, 14, 14, 20, 21])).toEqual([0, 0, 4, 0, 6, 1]);
  // The same words over amounts that fall are amounts.
  expect(rain('Rain total mm', [10, 0, 14, 0, 20, 1])).toEqual([10, 0, 14, 0, 20, 1]);
  expect(rain('Rain mm', [1, 2, 3, 4, 5, 6])).toEqual([1, 2, 3, 4, 5, 6]);
  expect(rain('Rain cm', [1, 0, 0, 0, 0, 0])).toEqual([10, 0, 0, 0, 0, 0]);
});
test('a total that runs on is told with decimal commas, and from the newest reading back', () => {
  const rain = (values: readonly string[], days: readonly string[]) => {
    const read = readLogger([['date', 'Rain total mm'], ...days.map((d, i) => [`2026-05-${d}`, values[i] ?? ''])]);
    if (read.kind !== 'log') throw new Error(read.reason);
    return read.log.series.rainMm;
  };
  const days = ['01', '02', '03', '04', '05', '06'];
  const comma = ['1,5', '1,500', '1,750', '1,750', '2,250', '4,5'];
  expect(rain(comma, days)).toEqual([0, 0, 0.25, 0, 0.5, 2.25]);
  expect(rain([...comma].reverse(), [...days].reverse())).toEqual([0, 0, 0.25, 0, 0.5, 2.25]);
});
test('a date that is none is told with its row, also where the newest reading stands first', () => {
  const read = readLogger([
    ['date', 'rain mm'],
    ['2026-05-03', '1'],
    ['soon', '2'],
    ['2026-05-01', '3'],
  ]);
  expect(read.kind === 'log' && read.problems).toEqual([
    { row: 3, message: 'Read “soon”, expected a date such as 2026-05-01.' },
  ]);
});
test('what is one day and what is one month is told by the other dates, their steps, or the language', () => {
  const days = (dates: readonly string[], heading = 'date') => {
    const read = readLogger([[heading, 'soil °C'], ...dates.map((d) => [d, '9'])]);
    return read.kind === 'log' ? [read.log.from, read.days] : read.reason;
  };
  expect(days(['03/04/2026', '04/04/2026', '05/04/2026'])).toEqual(['2026-04-03', 3]);
  expect(days(['4/3/2026', '4/4/2026', '4/5/2026'])).toEqual(['2026-04-03', 3]);
  expect(days(['01-04-2026'], 'fecha')).toEqual(['2026-04-01', 1]);
  expect(days(['01-04-2026'])).toMatch(/expected a date/);
  expect(days(['1775001600', '1775088000'])).toEqual(['2026-04-01', 2]);
});
test('of two depths the one nearest to 10 cm is taken, and the other is told as left out', () => {
  const read = readLogger([
    ['date', 'Soil temp 5 cm', 'Soil temp 20 cm', 'Soil temp 12 cm'],
    ['2026-04-01', '11', '8', '9'],
  ]);
  if (read.kind !== 'log') throw new Error(read.reason);
  expect(read.log.series.soilC).toEqual([9]);
  expect(read.ignored).toEqual(['Soil temp 5 cm', 'Soil temp 20 cm']);
});
test('a counter that begins far above what it grew by runs on, however few readings there are', () => {
  const read = readLogger([
    ['date', 'Rain total mm'],
    ['2026-04-01', '100'],
    ['2026-04-02', '101.2'],
    ['2026-04-03', '103.2'],
  ]);
  expect(read.kind === 'log' && read.log.series.rainMm).toEqual([0, 1.2, 2]);
});
