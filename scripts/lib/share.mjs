/** What `--share` needs: the addresses of this machine on its network, and a certificate of its own for them. */
import { createPublicKey, X509Certificate } from 'node:crypto'
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { generate } from 'selfsigned'
import { unprivilegedUser } from './unprivileged.mjs'

const A_DAY_MS = 86_400_000
/** Phones take no certificate of their own making for longer. */
const VALID_DAYS = 397
const RENEW_DAYS = 14

/** IPv4 addresses at which others on the network reach this machine. */
export function networkAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter((one) => one.family === 'IPv4' && !one.internal)
    .map((one) => one.address)
    .sort()
}

/**
 * The certificate for these addresses, kept in a folder of the owner's alone; made anew when an address is not in it or
 * it ends soon.
 * @returns {{ keyFile: string, certFile: string }}
 */
export async function shareCertificate(folder, addresses) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const [keyFile, certFile] = [join(folder, 'key.pem'), join(folder, 'cert.pem')]
  if (!isGood(keyFile, certFile, addresses)) {
    const made = await generate([{ name: 'commonName', value: 'Vulcanum on this machine' }], {
      keySize: 2048,
      algorithm: 'sha256',
      notBeforeDate: new Date(Date.now() - A_DAY_MS),
      notAfterDate: new Date(Date.now() + (VALID_DAYS - 1) * A_DAY_MS),
      extensions: [
        { name: 'basicConstraints', cA: false },
        { name: 'keyUsage', digitalSignature: true, keyEncipherment: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: [...addresses.map((ip) => ({ type: 7, ip })), { type: 2, value: 'localhost' }],
        },
      ],
    })
    writeFileSync(keyFile, made.private, { mode: 0o600 })
    writeFileSync(certFile, made.cert, { mode: 0o600 })
    for (const file of [keyFile, certFile]) chmodSync(file, 0o600)
  }
  // The server reads them, and is not root.
  const user = unprivilegedUser()
  if (user) for (const path of [folder, keyFile, certFile]) chownSync(path, user.uid, user.gid)
  return { keyFile, certFile }
}

function isGood(keyFile, certFile, addresses) {
  if (!existsSync(keyFile) || !existsSync(certFile)) return false
  try {
    const certificate = new X509Certificate(readFileSync(certFile))
    const ends = Date.parse(certificate.validTo) - Date.now()
    return (
      ends > RENEW_DAYS * A_DAY_MS &&
      addresses.every((address) => certificate.checkIP(address)) &&
      certificate.publicKey.equals(createPublicKey(readFileSync(keyFile)))
    )
  } catch {
    return false
  }
}
