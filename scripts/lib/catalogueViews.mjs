// Pictures of sellers' lists: searched, brought in, one product, the cheapest of all.
import { click } from './screenSteps.mjs';
import { DESK, PAPER, PHONE, printed } from './viewports.mjs';

const shown = (what) => (page) => page.waitForSelector(`[data-testid=${what}]`);
const says = (words) => (page) => page.locator(`::-p-text(${words})`).click();

export const CATALOGUE_VIEWS = [
  {
    name: 'catalogue',
    path: '/shelf/catalogue',
    steps: [shown('catalogue-product')],
  },
  { name: 'lists', path: '/shelf/lists', steps: [shown('list')] },
  { name: 'cheapest', path: '/shelf/cheapest', steps: [shown('cheapest')] },
  {
    name: 'listed-product',
    path: '/shelf/catalogue',
    steps: [
      shown('catalogue-product'),
      click('[data-testid=catalogue-product] a'),
      shown('listed-nutrient'),
      says('Work it out'),
      shown('worth-by-lists'),
    ],
  },
  {
    name: 'cheapest-packages',
    path: '/shelf/cheapest',
    steps: [
      shown('cheapest'),
      says('whole packages'),
      (page) => page.waitForFunction(() => document.body.textContent.includes('cheaper recipe in whole packages')),
    ],
  },
  {
    name: 'list-prices',
    path: '/shelf/lists',
    steps: [shown('list'), says('new prices'), says('ask the seller'), shown('list-preview')],
  },
  {
    name: 'phone-catalogue',
    path: '/shelf/catalogue',
    viewport: PHONE,
    steps: [shown('catalogue-product')],
  },
  {
    name: 'evening-catalogue',
    path: '/shelf/catalogue',
    theme: 'evening',
    steps: [shown('catalogue-product')],
  },
  {
    name: 'printed-cheapest',
    path: '/shelf/cheapest',
    viewport: PAPER,
    steps: [shown('cheapest'), printed],
  },
  {
    name: 'phone-listed-product',
    path: '/shelf/catalogue',
    viewport: PHONE,
    steps: [shown('catalogue-product'), click('[data-testid=catalogue-product] a'), shown('listed-nutrient')],
  },
  {
    name: 'catalogue-conditions',
    path: '/shelf/catalogue',
    steps: [shown('catalogue-product'), says('More conditions')],
  },
  {
    name: 'worth-by-lists',
    path: '/price/worth',
    viewport: { ...DESK, height: 1600 },
    steps: [shown('worth'), says('Work it out'), shown('worth-by-lists')],
  },
  { name: 'evening-cheapest', path: '/shelf/cheapest', theme: 'evening', steps: [shown('cheapest')] },
];
