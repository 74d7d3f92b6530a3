import { parseNumber } from './parseNumber.js';

export type ReadTemperature =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly reason: string };

const TYPED = /^(.*?)\s*(?:°|º|deg(?:rees)?)?\s*([cf])?$/i;
/**
 * A temperature as people type it, in °C; degrees Fahrenheit are converted where they are said.
 * @example readTemperature('131 °F') // { ok: true, value: 55 }
 */
export function readTemperature(text: string): ReadTemperature {
  const [, number = '', scale = 'c'] = TYPED.exec(text.trim()) ?? [];
  const read = parseNumber(number);
  if (!read.ok) return { ok: false, reason: `Read “${text}”, expected a temperature such as 58 °C or 136 °F.` };
  return { ok: true, value: scale.toLowerCase() === 'f' ? ((read.value - 32) * 5) / 9 : read.value };
}
