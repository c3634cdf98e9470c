export { NotchRule } from './NotchRule';
export { SizeRule } from './SizeRule';
export { Wood } from './Wood';
