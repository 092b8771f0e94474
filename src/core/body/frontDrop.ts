/** A length along the front with how far it may be off (one standard deviation), mm. */
export interface Estimate {
  readonly meanMm: number;
  readonly sdMm: number;
}

export interface FrontDrop extends Estimate {
  readonly measured: boolean;
}

const beltTopShareOfHeight = 0.255;
const estimatedSdMm = 20;
const measuredSdMm = 5;

/**
 * Collar button to the top edge of the belt, down the front. Measured with a tape where it
 * was; otherwise supposed from height, which is good to about 20 mm.
 */
export function frontDropOf(client: { readonly heightMm: number; readonly frontDropMm: number | null }): FrontDrop {
  return client.frontDropMm === null
    ? { meanMm: beltTopShareOfHeight * client.heightMm, sdMm: estimatedSdMm, measured: false }
    : { meanMm: client.frontDropMm, sdMm: measuredSdMm, measured: true };
}

/** Usual height of a belt: its middle lies half of it below the top edge. */
export const beltHeightMm = 35;
