/** Stands for the code that ties knots in cloth: what was tied by other code is tied again. */
declare const __CLOTH_SOURCE__: string;
/** Stands for the code that shows knots being tied, step by step. */
declare const __STEPS_SOURCE__: string;
