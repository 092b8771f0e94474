import { converter, modeLab65, modeRgb, modeXyz65, useMode as register } from 'culori/fn';

// Of the library’s forty colour spaces these alone are loaded: what is typed or shown, CIELAB in daylight, and the way between them.
register(modeRgb);
register(modeXyz65);
register(modeLab65);

export { differenceCiede2000, formatHex } from 'culori/fn';

/** Any colour in CIELAB under D65; nothing for text that is no colour. */
export const toLab = converter('lab65');
