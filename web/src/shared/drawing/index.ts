export { FaultFigure } from './Faults';
export { GripFigure, HoldFigure } from './Hands';
export { Knife } from './Knife';
export { Section, fillOf } from './Section';
