export { plainWord, type WordRole } from './dictionary.js';
export { spelledOut } from './spelling.js';
export { loggerWord, mayRun } from './loggerWords.js';
export { rolesIn } from './tokens.js';
export { FOREIGN_NAMES, type NameTerm } from './names.js';
export { type Package, type PackageReading, readPackages } from './packages.js';
