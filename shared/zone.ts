/** Whether there is a time zone of this name. */
export const isZone = (zone: string | undefined): boolean => {
  try {
    return Boolean(zone) && new Intl.DateTimeFormat('en', { timeZone: zone }).format(0) !== ''
  } catch {
    return false
  }
}
