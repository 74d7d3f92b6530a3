export { type Package, type PackageReading, readPackages } from './packages.js';
