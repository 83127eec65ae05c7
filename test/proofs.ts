/** Proofs over many seeds: `npm run prove` goes through all of them, `npm test` through a tenth. */
const SHARE = process.env.VULCANUM_PROVE === '1' ? 1 : 0.1

/** @param whole as many as `npm run prove` tries */
export const proofs = (whole: number): number => Math.ceil(whole * SHARE)
