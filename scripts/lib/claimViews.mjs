// Pictures of claims: taken apart, side by side, on paper; and their studies.
import { click, openClaim } from './screenSteps.mjs';
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

const forest = (page) => page.waitForSelector('[data-testid=forest] svg');

export const CLAIM_VIEWS = [
  { name: 'claims', path: '/claims' },
  {
    name: 'claim-whole',
    viewport: { ...DESK, height: 3600 },
    steps: [openClaim('silicon'), forest],
  },
  {
    name: 'printed-claim',
    viewport: { ...PAPER, height: 2200 },
    steps: [openClaim('silicon'), forest, printed],
  },
  {
    name: 'claims-compare',
    path: '/claims/compare',
    steps: [(page) => page.waitForSelector('[data-testid=compared]')],
  },
  {
    name: 'claim-sheet',
    viewport: { ...DESK, height: 2400 },
    steps: [openClaim('silicon'), click('a[href$="/sheet"]'), forest],
  },
  {
    name: 'printed-claim-sheet',
    viewport: { ...PAPER, height: 2400 },
    steps: [openClaim('silicon'), click('a[href$="/sheet"]'), forest, printed],
  },
  { name: 'phone-claims-compare', viewport: PHONE, path: '/claims/compare' },
  { name: 'studies', path: '/claims/studies' },
  {
    name: 'study',
    viewport: { ...DESK, height: 1300 },
    path: '/claims/studies',
    steps: [click('[data-testid=studies] a'), (page) => page.waitForSelector('[data-testid=study-effect]')],
  },
  {
    name: 'phone-claim',
    viewport: { ...PHONE, height: 3000 },
    steps: [openClaim('silicon'), forest],
  },
  {
    name: 'evening-claim',
    theme: 'evening',
    viewport: { ...DESK, height: 2000 },
    steps: [openClaim('silicon'), forest],
  },
  { name: 'claim', steps: [openClaim('silicon'), click('[data-testid=checks] .fig')] },
];
