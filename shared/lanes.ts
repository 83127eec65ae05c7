/** The lanes of a bench. */
export const LANES = ['A', 'B', 'C', 'D', 'E', 'F'] as const
export type LaneName = (typeof LANES)[number]
