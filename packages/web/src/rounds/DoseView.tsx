import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Sheet } from '../ui/Sheet';
import { CalibrateDesk } from './CalibrateDesk';
import { LayerDesk } from './LayerDesk';
import { NeedDesk } from './NeedDesk';
import { RoundPages } from './RoundPages';
import { SourceDesk } from './SourceDesk';

/** How much of a bag: by what is needed, as a layer, out of the spreader. */
export const DoseView = () => (
  <Sheet title="Doses" question="How much of this bag goes on the ground?">
    <RoundPages />
    <NeedDesk />
    <SourceDesk />
    <LayerDesk />
    <CalibrateDesk />
    <MarginNotes>
      <MarginNote title="Before you spread">
        <p>Follow the label: no rate here stands above it. Where it is silent, there is no rate.</p>
      </MarginNote>
      <MarginNote title="Weigh a scoop once">
        <p>
          Level a scoop with a ruler, weigh it, and enter it on the bag. From then on every dose of that bag is also
          told in that scoop. A heaped scoop can be half as much again.
        </p>
      </MarginNote>
    </MarginNotes>
  </Sheet>
);
