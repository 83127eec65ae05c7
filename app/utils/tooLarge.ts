/** That something is larger than is taken, in words: what it is, how large, and how large it may be. */
export const tooLarge = (name: string, bytes: number, maxBytes: number): string =>
  `${name}: read ${(bytes / 1e6).toFixed(1)} MB, expected at most ${maxBytes / 1e6} MB.`
