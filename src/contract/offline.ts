/** Set on a page that came without its records, since they couldn’t be reached. */
export const recordsOut = 'x-ropewalk-records-out';

/** Set on an answer that a device kept from before, since the server couldn’t be reached. */
export const fromDevice = 'x-ropewalk-from-device';

/** Set on the root of a page that a device kept from before, with when it was sent. */
export const keptPageAttribute = 'data-kept-since';
