import { tells, type MethodWord, type SoilWord, type Token } from '../../reading/index.js';
import type { SoilAnalyte, SoilMethod } from '../soilReport.js';

/** What a soil report keeps of what a paper names. */
export const KEPT: Readonly<Partial<Record<SoilWord, SoilAnalyte>>> = {
  pH: 'pH',
  CEC: 'CEC',
  EC: 'EC',
  SAR: 'SAR',
  ESP: 'ESP',
  acidity: 'acidity',
  bulkDensity: 'bulkDensity',
  organicMatter: 'organicMatter',
  carbonate: 'freeLime',
};

export const SHARE_OF_EXCHANGE = 'a share of the exchange: worked out here from the cations';
/** What looks like a figure of the soil and is another thing, in words. */
export const OTHER_THINGS: Readonly<Partial<Record<SoilWord, string>>> = {
  buffer: 'a buffer pH: it tells of lime, and is not the soil’s own pH',
  saturation: SHARE_OF_EXCHANGE,
  ratio: 'a ratio: worked out here from its two parts',
  release: 'what a laboratory expects to be set free: worked out here from the organic matter',
  advice: 'advice, no figure of the soil',
  quickTest: 'a quick-test unit of one country: ask the laboratory for mg/kg or mg/L',
  texture: 'the texture: set it with the plot',
  carbon: 'organic carbon: write it as organic matter, by the factor of your laboratory',
  index: 'an index is a class, no amount: expected the figure it stands for, in mg/kg or mg/L',
};
const METHODS: Readonly<Record<MethodWord, SoilMethod>> = {
  olsen: 'olsen',
  bray: 'bray',
  bray2: 'other',
  mehlich3: 'mehlich3',
  mehlich1: 'other',
  ammoniumAcetate: 'ammoniumAcetate',
  saturatedPaste: 'saturatedPaste',
  CaCl2: 'CaCl2',
  KCl: 'KCl',
  water: 'water',
  CAL: 'other',
  DL: 'other',
  PAl: 'other',
  morgan: 'other',
  DTPA: 'other',
  hotWater: 'other',
  colwell: 'other',
  resin: 'other',
  strongAcid: 'other',
  lactate: 'other',
};
const NAMES = Object.keys(METHODS) as readonly MethodWord[];

/** The method that words tell, the most particular first: hot water before water. */
export function methodIn(tokens: readonly Token[]): SoilMethod | undefined {
  const found = NAMES.filter((name) => tokens.some((t) => tells(t, `method.${name}`)));
  const telling = found.filter((name) => name !== 'water');
  const name = telling.find((n) => METHODS[n] === 'other' && n !== 'lactate') ?? telling[0] ?? found[0];
  if (name !== undefined) return METHODS[name];
  return tokens.some((t) => tells(t, 'q.exchangeable')) ? 'ammoniumAcetate' : undefined;
}
