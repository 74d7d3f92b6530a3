export { FOREIGN_NAMES, type NameTerm } from './names.js';
export { type Package, type PackageReading, readPackages } from './packages.js';
