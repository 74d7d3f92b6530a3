import { SlidersHorizontal } from 'lucide-react';
import { useAppSelector } from '../app/store';

/** What the units button says, before and after its panel has been fetched. */
export function UnitsWords() {
  const { massUnit, basis } = useAppSelector((s) => s.settings);
  return (
    <>
      <SlidersHorizontal size={16} aria-hidden="true" />
      <span className="hidden sm:inline">
        {massUnit}, {basis === 'oxide' ? 'P₂O₅ K₂O' : 'P K'}
      </span>
      <span className="sr-only">Units and light</span>
    </>
  );
}
