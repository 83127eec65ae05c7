/** A fixed temperature in place of the boil: what it is called among the conventions, and the one that is offered. */
export const TARGET = 'target'
export const USUAL_TARGET_C = 90
