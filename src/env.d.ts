/** Stands for the code that ties knots in cloth: what was tied by other code is tied again. */
declare const __CLOTH_SOURCE__: string;
