/** What is opened on purpose, fetched together when one of it is. */
export { AllInWords } from './AllInWords.tsx';
export { FromElsewhere } from './FromElsewhere.tsx';
export { Lost } from './Lost.tsx';
export { Practice } from './Practice.tsx';
export { TakeHome } from './TakeHome.tsx';
export { Untying } from './Untying.tsx';
