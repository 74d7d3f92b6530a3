import { FormPart } from '../ui/EditForm';
import { TextField } from '../ui/Field';
import { MONTHS, WATER_FIELDS } from './plotText';

const ROWS = [
  ['rainMm', 'Rain'],
  ['irrigationMm', 'Irrigation'],
  ['etMm', 'Evapotranspiration'],
] as const;

/** The water of a plot: what comes and goes in a usual year, and what is dissolved in what it is given. */
export const WaterParts = () => (
  <>
    <FormPart title="Water in a usual year" hint="mm a month; decides how moist the soil is and what washes out">
      <div className="relative overflow-x-auto">
        <table className="w-full min-w-[44rem] border-separate border-spacing-x-0.5">
          <thead>
            <tr>
              <th scope="col">
                <span className="sr-only">What</span>
              </th>
              {MONTHS.map((m) => (
                <th key={m} scope="col" className="text-[0.8125rem] font-normal text-faint">
                  {m}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([row, name]) => (
              <tr key={row}>
                <th scope="row" className="pr-2 text-left text-sm font-normal">
                  {name}
                </th>
                {MONTHS.map((m, i) => (
                  <td key={m}>
                    <TextField name={`${row}.${i}`} label={`${name} in ${m}, mm`} bare inputMode="decimal" />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </FormPart>
    <FormPart title="The water it is given" hint="from a water analysis; leave blank what was not measured">
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
        {Object.entries(WATER_FIELDS).map(([key, label]) => (
          <TextField key={key} name={`water.${key}`} label={label} inputMode="decimal" />
        ))}
      </div>
    </FormPart>
  </>
);
