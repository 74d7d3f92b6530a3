import { FormPart } from '../ui/EditForm';
import { SelectField, TextField } from '../ui/Field';
import { MONTHS } from './plotText';

/** The soil's temperature over a usual year, by months or as a mean and a swing. */
export const WarmthPart = ({ kind }: { kind: string }) => (
  <FormPart title="How warm the soil is" hint="decides how fast everything organic, coated or urea is released">
    <SelectField
      name="kind"
      label="Known as"
      options={[
        { value: 'monthly', text: 'twelve monthly means' },
        { value: 'sine', text: 'a yearly mean and swing' },
      ]}
      className="mb-2 max-w-64"
    />
    {kind === 'monthly' ? (
      <div className="grid grid-cols-4 gap-2 sm:grid-cols-6">
        {MONTHS.map((m, i) => (
          <TextField key={m} name={`meansC.${i}`} label={`${m}, °C`} inputMode="decimal" />
        ))}
      </div>
    ) : (
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
        <TextField name="meanC" label="Mean of the year, °C" inputMode="decimal" />
        <TextField name="amplitudeC" label="Swing above and below it, °C" inputMode="decimal" />
        <TextField name="warmestDay" label="Warmest day of the year, 0–364" inputMode="numeric" hint="205 is 25 July" />
      </div>
    )}
  </FormPart>
);
