// Sizes that pictures are taken in.
export const DESK = { width: 1280, height: 800, deviceScaleFactor: 1 };
export const PHONE = { width: 390, height: 844, deviceScaleFactor: 2, isMobile: true, hasTouch: true };

/** On paper, as wide as A4 within its margins. */
export const PAPER = { width: 718, height: 3000, deviceScaleFactor: 1 };
export const printed = (page) => page.emulateMediaType('print');
