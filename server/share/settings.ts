/** What the start command says of sharing; null: this server is for its own machine alone. */
export interface ShareSettings { port: number, host: string, addresses: string[], keyFile: string, certFile: string }

export function shareSettings(): ShareSettings | null {
  const said = process.env.VULCANUM_SHARE
  return said ? JSON.parse(said) as ShareSettings : null
}
