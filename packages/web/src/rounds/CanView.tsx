import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Sheet } from '../ui/Sheet';
import { CanDesk } from './CanDesk';
import { DilutionDesk } from './DilutionDesk';
import { RoundPages } from './RoundPages';

/** What goes into a can, and what a dilution means. */
export const CanView = () => (
  <Sheet title="Cans" question="How much of what goes into this can, and how strong is it then?">
    <RoundPages />
    <CanDesk />
    <DilutionDesk />
    <MarginNotes>
      <MarginNote title="Before you pour">
        <p>
          Measure the can once, by the bottle: a bucket says nothing of what it holds, and its colour is no measure.
          Where a label is silent, there is no rate.
        </p>
      </MarginNote>
      <MarginNote title="Caked powder">
        <p>Powder that caked or got wet has come apart: one spoon of it is not like the next. Do not dose from it.</p>
      </MarginNote>
      <MarginNote title="What the EC leaves out">
        <p>
          Only cations that a label names are counted, at ten meq a litre to the mS/cm. Your water has an EC of its own.
        </p>
      </MarginNote>
    </MarginNotes>
  </Sheet>
);
