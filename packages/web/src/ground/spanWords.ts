/** Minutes as a person says them. @example spanWords(135) // '2 h 15 min' */
export function spanWords(minutes: number): string {
  const whole = Math.max(0, Math.ceil(minutes));
  const hours = Math.floor(whole / 60);
  return hours === 0 ? `${whole} min` : whole % 60 === 0 ? `${hours} h` : `${hours} h ${whole % 60} min`;
}
