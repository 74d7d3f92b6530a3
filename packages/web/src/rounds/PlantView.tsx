import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Sheet } from '../ui/Sheet';
import { AgeDesk } from './AgeDesk';
import { ContainerDesk } from './ContainerDesk';
import { PotDesk } from './PotDesk';
import { RingDesk } from './RingDesk';
import { RoundPages } from './RoundPages';

/** Doses by the plant: by age, in a ring, in a pot. */
export const PlantView = () => (
  <Sheet title="Plants" question="How much for this tree, in this ring, in this pot?">
    <RoundPages />
    <AgeDesk />
    <RingDesk />
    <ContainerDesk />
    <PotDesk />
    <MarginNotes>
      <MarginNote title="Pour through">
        <p>
          Water the pot, wait an hour, pour on just enough that some runs out below, and measure that. Do it the same
          way each time: the series says more than one number.
        </p>
      </MarginNote>
      <MarginNote title="Before you strew">
        <p>The label stands above every table. Keep it off the stem, and water it in.</p>
      </MarginNote>
    </MarginNotes>
  </Sheet>
);
