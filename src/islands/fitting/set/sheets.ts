/** What is opened on purpose, fetched together when one of it is. */
export { CameOut } from './CameOut.tsx';
export { PinchCheck } from './PinchCheck.tsx';
export { QuickMeasures } from './QuickMeasures.tsx';
