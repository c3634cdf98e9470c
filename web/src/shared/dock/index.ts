export { Disclaimer, Dock, Reason } from './Dock';
