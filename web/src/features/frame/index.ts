export { Frame, useHere } from './Frame';
