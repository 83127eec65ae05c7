import QRCode from 'qrcode'
import { useDatabase } from '#server/database/connection'
import { pairedDevices } from '#server/share/devices'
import { pairingCode } from '#server/share/pairing'
import { shareSettings } from '#server/share/settings'
import type { ShareState } from '#shared/share'

/** What this machine's own screen shows. */
export default defineEventHandler(async (): Promise<ShareState> => {
  const settings = shareSettings()
  const devices = await pairedDevices(useDatabase())
  if (settings === null) return { shared: null, devices }
  const urls = settings.addresses.map(address => `https://${address}:${settings.port}`)
  const addresses = await Promise.all(urls.map(async url => ({ url, qr: await QRCode.toString(`${url}/pair`, { type: 'svg', margin: 2, color: { dark: '#000000', light: '#ffffff' } }) })))
  return { shared: { addresses, ...pairingCode(Date.now()) }, devices }
})
