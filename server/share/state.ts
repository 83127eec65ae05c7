import { Pairing } from './pairing'

/** The pairing of this process: one screen, one door. */
export const pairing = new Pairing()
