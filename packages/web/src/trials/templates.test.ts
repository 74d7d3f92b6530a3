import { TrialInput, trialProblems, validateInput, type TrialRecord } from '@wheat-ledger/contract';
import { fromTemplate, fromTrial, TEMPLATES } from './templates';
import { readTrial } from './trialText';

test.each(TEMPLATES.map((t) => [t.title, t] as const))(
  '“%s” needs a name and a day, and is then a trial',
  (_, template) => {
    const text = { ...fromTemplate(template, 7), name: 'Mine', until: '1 Oct 2027' };
    const { plain, problems } = readTrial(text);
    expect(problems).toEqual([]);
    const checked = validateInput(TrialInput, plain);
    expect(checked.ok ? trialProblems(checked.value) : checked.problems).toEqual([]);
  },
);

test('jars keep what is applied, at what warmth and in what', () => {
  const jars = TEMPLATES.find((t) => t.key === 'jars')!;
  const { plain } = readTrial({ ...fromTemplate(jars, 7), name: 'Jars', until: '1 Oct 2027' });
  expect(plain.jars).toEqual({ applied: 200, temperatureC: 25, medium: 'mineralSoil' });
});

test('a trial again has its arms and outcomes, a layout drawn anew, and no day, units lost or year before', () => {
  const { plain } = readTrial({ ...fromTemplate(TEMPLATES[0]!, 7), name: 'Ash', until: '1 Oct 2027' });
  const record = {
    ...plain,
    id: 'x',
    version: 1,
    startedOn: '2027-05-01',
    odd: [{ unit: 1, state: 'lost', why: 'slugs' }],
  } as unknown as TrialRecord;
  const again = fromTrial(record, 99);
  expect([again.name, again.seed, again.until]).toEqual(['Ash (again)', '99', '']);
  const read = readTrial({ ...again, until: '1 Oct 2028' }).plain;
  expect(read.arms).toEqual(plain.arms);
  expect([read.startedOn, read.odd, read.follows]).toEqual([undefined, [], undefined]);
});
