export { BesideTable } from './BesideTable';
