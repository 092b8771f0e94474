/** What is opened on purpose, or stands further down, fetched together when one of it is. */
export { BookSays } from './BookSays.tsx';
export { CameOut } from './CameOut.tsx';
export { Cures } from './Cures.tsx';
export { PinchCheck } from './PinchCheck.tsx';
export { QuickMeasures } from './QuickMeasures.tsx';
export { Size } from './Size.tsx';
