export { Mark } from './Mark';
export type { MarkKind } from './Mark';
