/** What the start command says of sharing; null: this server is for its own machine alone. */
export interface ShareSettings {
  port: number
  addresses: string[]
  keyFile: string
  certFile: string
}

export function shareSettings(): ShareSettings | null {
  const said = process.env.VULCANUM_SHARE
  return said ? (JSON.parse(said) as ShareSettings) : null
}

/** The names by which the network reaches this server. */
export function sharedHosts(): string[] {
  const settings = shareSettings()
  return settings === null
    ? []
    : settings.addresses.flatMap((address) => [
        `${address}:${settings.port}`,
        ...(settings.port === 443 ? [address] : []),
      ])
}
