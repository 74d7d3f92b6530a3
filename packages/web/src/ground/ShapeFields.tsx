import { useFormContext, useWatch } from 'react-hook-form';
import { polygonLengths, SHAPE_LENGTHS, toShape, type PlotInput } from '@wheat-ledger/contract';
import { capital, mediumVolume, MOST_SIDES, plotArea, SHAPES, type ShapeKind } from '@wheat-ledger/core';
import { FigureButton } from '../ui/FigureButton';
import { SelectField, TextField } from '../ui/Field';
import type { PlotText } from './plotText';

const SHAPE_NAMES: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'a rectangle',
  circle: 'a circle',
  ring: 'a ring round a stem',
  triangle: 'a triangle',
  polygon: 'uneven sides',
  beds: 'equal beds',
  rows: 'rows',
  containers: 'pots or tubs',
};

/** How the area is known: typed, or worked out from lengths measured with a tape. */
export function ShapeFields({ plain, readable }: { plain: PlotInput; readable: boolean }) {
  const { control } = useFormContext<PlotText>();
  const kind = useWatch({ control, name: 'shape' });
  const sides = useWatch({ control, name: 'sides' });
  const spec = (SHAPES as readonly string[]).includes(kind) ? SHAPE_LENGTHS[kind as ShapeKind] : undefined;
  const volume = readable && plain.shape ? mediumVolume(toShape(plain.shape)) : undefined;
  return (
    <>
      <SelectField
        name="shape"
        label="Its shape"
        options={[{ value: '', text: 'area as typed' }, ...SHAPES.map((s) => ({ value: s, text: SHAPE_NAMES[s] }))]}
      />
      {!spec && <TextField name="area" label="Area" placeholder="120 m² or 0.75 acre" />}
      {kind === 'polygon' && (
        <SelectField
          name="sides"
          label="How many sides"
          options={Array.from({ length: MOST_SIDES - 3 }, (_, i) => ({ value: String(i + 4), text: String(i + 4) }))}
        />
      )}
      {(kind === 'polygon' ? polygonLengths(Number(sides)) : spec?.lengths)?.map((name, i) => (
        <TextField key={name} name={`lengths.${i}`} label={capital(name)} placeholder="2.5 m or 8 ft" />
      ))}
      {spec?.counted && <TextField name="count" label={`How many ${spec.counted}`} inputMode="numeric" />}
      {spec?.holds && <TextField name="litres" label="One holds" placeholder="12 L or 3 US gal" />}
      {kind === 'polygon' && (
        <p className="col-span-2 self-end text-sm text-faint">
          Go round with the tape, then measure from the first corner to every corner that is not its neighbour. Each
          corner is taken to turn out: where the bed turns in, press the corner in the drawing.
        </p>
      )}
      {kind === 'containers' && (
        <p className="col-span-2 self-end text-sm text-faint">
          Two measures: the surface of the openings, and the litres of medium. In a deep pot they differ much; a dose
          says which it goes by.
        </p>
      )}
      {kind === 'ring' && (
        <p className="col-span-2 self-end text-sm text-faint">
          A “2-foot ring” is two feet across or two feet out, a fourfold difference. Measure both edges from the middle,
          and keep the inner one off the stem.
        </p>
      )}
      {spec && (
        <div className="self-end pb-1">
          {readable && plain.shape ? (
            <>
              Area <FigureButton figure={plotArea(toShape(plain.shape))} /> m²
              {volume && (
                <>
                  , <FigureButton figure={volume} /> L of medium
                </>
              )}
            </>
          ) : (
            <span className="text-faint">The area follows from the lengths.</span>
          )}
        </div>
      )}
    </>
  );
}
