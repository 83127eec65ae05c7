/** What an empty list says that must not be. */
export const mustBeChosen = (what: string): string => `${what}: choose one from the list.`
