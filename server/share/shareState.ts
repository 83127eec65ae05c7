/** What this machine's own screen shows of sharing. */
import QRCode from 'qrcode'
import type { ShareState } from '../../shared/share'
import type { Connection } from '../database/connection'
import type { Pairing } from './pairing'
import { pairedDevices } from './repository/devices'
import { shareSettings } from './settings'

export async function shareState(
  { db, pairing }: { db: Connection; pairing: Pairing },
  nowMs: number,
): Promise<ShareState> {
  const settings = shareSettings()
  const devices = await pairedDevices(db)
  if (settings === null) return { shared: null, devices }
  const open = pairing.look(nowMs)
  const urls = settings.addresses.map((address) => `https://${address}:${settings.port}`)
  // After the #: no server and no log is told it.
  const addresses = await Promise.all(
    urls.map(async (url) => ({
      url,
      qr: await QRCode.toString(`${url}/pair${open === null ? '' : `#${open.secret}`}`, {
        type: 'svg',
        margin: 2,
        color: { dark: '#000000', light: '#ffffff' },
      }),
    })),
  )
  return {
    shared: { addresses, pairing: open && { code: open.code, untilMs: open.untilMs, asking: open.asking } },
    devices,
  }
}
