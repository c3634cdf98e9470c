export { Knife } from './Knife';
export { Section } from './Section';
