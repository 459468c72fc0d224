import 'reflect-metadata'
import { webcrypto } from 'node:crypto'
import { subscribe } from 'node:diagnostics_channel'
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { BlockList, isIP } from 'node:net'
import { hostname, networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { AsnConvert } from '@peculiar/asn1-schema'
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509'
import * as x509 from '@peculiar/x509'

x509.cryptoProvider.set(webcrypto)

const day = 24 * 60 * 60_000
const authorityLasts = 3650 * day
/** Browsers take no server certificate that lasts longer. */
const serverLasts = 397 * day
/** Renewed so long before its end. */
const renewedBefore = 120 * day
const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' }

const addresses = () =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)

/** Every name and address this machine may be asked for at. */
function namesOfMachine() {
  const name = hostname().toLowerCase()
  const named = (process.env.AMPLE_TALLY_HOSTS ?? '').toLowerCase().split(/[\s,]+/)
  return {
    dns: [...new Set(['localhost', name, `${name.split('.')[0]}.local`, ...named])].filter(
      (one) => one !== '' && !/^[\d.:]+$/.test(one),
    ),
    ip: [...new Set(['127.0.0.1', ...addresses(), ...named.filter((one) => /^[\d.]+$/.test(one))])],
  }
}

const keep = (file, text) => {
  writeFileSync(file, text, { mode: 0o600 })
  chmodSync(file, 0o600)
}

async function pemOfKey(key) {
  return x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
}

async function keyOfPem(pem) {
  const [raw] = x509.PemConverter.decode(pem)
  return await webcrypto.subtle.importKey('pkcs8', raw, algorithm, true, ['sign'])
}

const serial = () =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(16)))
    .toString('hex')
    .replace(/^./, '1')

/** Addresses that lead to nobody outside a house: of this machine, and of a private network. */
const privateNetworks = ['127.0.0.0/8', '10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16']

/**
 * What the authority may speak for: this machine's names, names of the local network, and private addresses. A device that
 * trusts it trusts it for nothing else.
 */
function nameConstraints() {
  const { dns, ip } = namesOfMachine()
  const subtree = (name) => new GeneralSubtree({ base: new GeneralName(name) })
  const own = ip.filter((address) => !/^(127|10|192\.168|169\.254|172\.(1[6-9]|2\d|3[01]))\./.test(address))
  const permitted = [
    ...[...new Set(['localhost', 'local', ...dns])].map((dNSName) => subtree({ dNSName })),
    ...[...privateNetworks, ...own.map((address) => `${address}/32`)].map((iPAddress) => subtree({ iPAddress })),
  ]
  const value = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) })
  return new x509.Extension(id_ce_nameConstraints, true, AsnConvert.serialize(value))
}

/** Whether an authority may speak for a name or address: one such name more, and devices trust nothing of it. */
function permits(authority) {
  const extension = authority.getExtension(id_ce_nameConstraints)
  if (!extension) return () => true
  const { permittedSubtrees = [] } = AsnConvert.parse(extension.value, NameConstraints)
  const bases = [...permittedSubtrees].map(({ base }) => base)
  const names = bases.flatMap(({ dNSName }) => dNSName ?? [])
  const networks = new BlockList()
  for (const { iPAddress } of bases) {
    if (!iPAddress) continue
    const [address, bits] = iPAddress.split('/')
    networks.addSubnet(address, Number(bits), 'ipv4')
  }
  return (name) =>
    isIP(name) ? networks.check(name) : names.some((base) => name === base || name.endsWith(`.${base}`))
}

/** SHA-256 of a certificate, as devices show it. */
export async function fingerprintOf(certificate) {
  const hex = Buffer.from(await certificate.getThumbprint('SHA-256'))
    .toString('hex')
    .toUpperCase()
  return hex.match(/../g).join(':')
}

/** The room's own authority: made once, and trusted by each tablet once. */
async function authorityOf(folder) {
  const [cert, key] = [join(folder, 'authority.pem'), join(folder, 'authority-key.pem')]
  if (existsSync(cert) && existsSync(key))
    return {
      certificate: new x509.X509Certificate(readFileSync(cert, 'utf8')),
      key: await keyOfPem(readFileSync(key, 'utf8')),
    }
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Ample Tally on ${hostname()}`,
    notBefore: new Date(Date.now() - day),
    notAfter: new Date(Date.now() + authorityLasts),
    signingAlgorithm: algorithm,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      nameConstraints(),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  })
  keep(key, await pemOfKey(keys.privateKey))
  keep(cert, certificate.toString('pem'))
  return { certificate, key: keys.privateKey }
}

/** The names a certificate was made for. */
function namesIn(certificate) {
  const found = certificate.getExtension(x509.SubjectAlternativeNameExtension)
  return new Set((found?.names.items ?? []).map(({ value }) => value))
}

/** The server's certificate, made anew when it ends soon or the machine has another name or address. */
export async function serverCertificate(folder, now = Date.now()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const authority = await authorityOf(folder)
  const [certFile, keyFile] = [join(folder, 'server.pem'), join(folder, 'server-key.pem')]
  const wanted = namesOfMachine()
  const may = permits(authority.certificate)
  const [dns, ip] = [wanted.dns.filter(may), wanted.ip.filter(may)]
  const beyond = [...wanted.dns, ...wanted.ip].filter((name) => !may(name))
  if (beyond.length > 0)
    console.warn(
      `The room's certificate cannot be for ${beyond.join(', ')}: its authority was made for other names. To have them, take the folder ${folder} away, start again, and let each tablet trust the new authority.`,
    )
  if (existsSync(certFile) && existsSync(keyFile)) {
    const known = new x509.X509Certificate(readFileSync(certFile, 'utf8'))
    const names = namesIn(known)
    if (known.notAfter.getTime() - now > renewedBefore && [...dns, ...ip].every((name) => names.has(name)))
      return { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8'), authority, dns, ip }
  }
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: `CN=${dns[1] ?? dns[0]}`,
    issuer: authority.certificate.subject,
    notBefore: new Date(now - day),
    notAfter: new Date(now + serverLasts),
    signingAlgorithm: algorithm,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        ...dns.map((value) => ({ type: 'dns', value })),
        ...ip.map((value) => ({ type: 'ip', value })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate.publicKey),
    ],
  })
  const [cert, key] = [certificate.toString('pem'), await pemOfKey(keys.privateKey)]
  keep(keyFile, key)
  keep(certFile, cert)
  return { cert, key, authority, dns, ip }
}

/**
 * Give every server that answers in this process the certificate of the day: one that runs for a year must not end with its
 * first, nor go by an address the machine had in spring.
 */
export function renewing(folder, { every = 60 * 60_000, clock = Date.now } = {}) {
  const servers = new Set()
  // Said for each connection, whatever library opened the server.
  subscribe('net.server.socket', ({ socket }) => {
    if (socket.server?.setSecureContext) servers.add(socket.server)
  })
  let inForce = null
  const look = async () => {
    const { cert, key } = await serverCertificate(folder, clock())
    if (inForce !== null && cert !== inForce) for (const server of servers) server.setSecureContext({ cert, key })
    inForce = cert
  }
  const tryIt = () =>
    void look().catch((error) => console.error(`The certificate could not be renewed: ${error.message}`))
  tryIt()
  return setInterval(tryIt, every).unref()
}

/** A page over plain HTTP that gives away the authority's certificate, which is no secret, and says what to do with it. */
function serveAuthority(port, authority, address, fingerprint) {
  const page = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Trust this pressroom</title>
<h1>Trust this pressroom</h1><p>Do this once on each tablet or computer of the room.</p>
<p><a href="/authority.crt">1. Fetch the room’s certificate</a></p><p>2. Compare its SHA-256 fingerprint with the one the server printed when it started, not only with this page: <code>${fingerprint}</code>. Trust nothing else.</p><p>3. Let the device trust it: in its settings, under security or certificates, install the file as an authority (CA) certificate for websites. Some devices ask afterwards to switch the trust on, under about or trust settings; on a computer it may be the browser’s own settings.</p>
<p>4. Open <a href="${address}">${address}</a>.</p></html>`
  const server = createServer((request, answer) => {
    if (request.url === '/authority.crt') {
      answer.writeHead(200, { 'content-type': 'application/x-x509-ca-cert', 'x-content-type-options': 'nosniff' })
      return void answer.end(authority.certificate.toString('pem'))
    }
    answer.writeHead(request.url === '/' ? 200 : 404, {
      'content-type': 'text/html; charset=utf-8',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'",
    })
    answer.end(request.url === '/' ? page : '')
  })
  server.on('error', (error) => console.warn(`The room's certificate cannot be fetched from tablets: ${error.message}`))
  server.listen(port, '0.0.0.0')
  server.unref()
}

/** Open to the room over HTTPS, with a certificate of the room's own authority. */
export async function openTo({ port, data }) {
  const folder = join(data, 'https')
  const { cert, key, authority, dns, ip } = await serverCertificate(folder)
  Object.assign(process.env, { NITRO_SSL_CERT: cert, NITRO_SSL_KEY: key })
  const name = dns.find((one) => one.endsWith('.local')) ?? dns[0]
  const place = ip.find((one) => one !== '127.0.0.1')
  const trustPort = Number(port) + 1
  renewing(folder)
  const fingerprint = await fingerprintOf(authority.certificate)
  serveAuthority(trustPort, authority, `https://${name}:${port}/`, fingerprint)
  console.info(`In the room: https://${name}:${port}/${place ? ` or https://${place}:${port}/` : ''}`)
  console.info(`On each tablet once, before that: http://${place ?? name}:${trustPort}/ , and what it says there.`)
  console.info(`SHA-256 of the certificate that the tablet shows must be ${fingerprint}`)
}
