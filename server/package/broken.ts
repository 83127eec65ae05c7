/** Why a package cannot come in, in words for who sent it. */
export class Broken extends Error {}
