// The shop's own certificate authority, and the certificate of this machine's names and addresses.
import 'reflect-metadata'
import { randomBytes, webcrypto } from 'node:crypto'
import { mkdirSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { covers, nameConstraints, permittedFor } from './nameConstraints.mjs'
import * as x509 from '@peculiar/x509'
import { say } from './say.mjs'

x509.cryptoProvider.set(webcrypto)

const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' }
const millisecondsPerDay = 86_400_000
const authorityDays = 3650
/** Phones refuse a certificate that is good for longer than some thirteen months. */
const certificateDays = 390
/** So long before it ends a new one is made. */
const renewDays = 30

const serial = () => {
  const bytes = randomBytes(16)
  // A serial number is positive.
  bytes[0] &= 0x7f
  return bytes.toString('hex')
}

/** Whole or not at all, readable by its owner alone. */
function write(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 })
  renameSync(`${file}.new`, file)
}

const pemOfKey = async (key) =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOfPem = (pem) =>
  webcrypto.subtle.importKey('pkcs8', x509.PemConverter.decodeFirst(pem), algorithm, true, ['sign'])

async function makeAuthority(names, now) {
  const allowed = permittedFor(names)
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: 'CN=Even Spoke of this shop, O=Even Spoke',
    notBefore: new Date(now - millisecondsPerDay),
    notAfter: new Date(now + authorityDays * millisecondsPerDay),
    signingAlgorithm: algorithm,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      nameConstraints(allowed),
    ],
  })
  return { key: await pemOfKey(keys.privateKey), certificate: certificate.toString('pem'), allowed }
}

async function makeCertificate(authority, names, now) {
  const issuer = new x509.X509Certificate(authority.certificate)
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: `CN=${names[0]}`,
    issuer: issuer.subject,
    notBefore: new Date(now - millisecondsPerDay),
    notAfter: new Date(Math.min(now + certificateDays * millisecondsPerDay, issuer.notAfter.getTime())),
    signingAlgorithm: algorithm,
    publicKey: keys.publicKey,
    signingKey: await keyOfPem(authority.key),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((name) => ({ type: isIP(name) ? 'ip' : 'dns', value: name })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  })
  return { key: await pemOfKey(keys.privateKey), certificate: certificate.toString('pem'), names }
}

/** What is kept; null: nothing yet. What cannot be read is said, and made anew. */
function readJson(file, tell) {
  if (!existsSync(file)) return null
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    tell(say('certificates.unreadable', { file }))
    return null
  }
}

/** Whether a certificate holds now and for a while: one made while the clock was ahead does not hold yet. */
function holds(pem, now, days) {
  try {
    return new x509.X509Certificate(pem).notBefore.getTime() <= now && daysLeft(pem, now) > days
  } catch {
    return false
  }
}

/** Whether a kept authority still does: it holds, its key can be read, and it may vouch for all names. */
async function isGoodAuthority(kept, names, now) {
  if (!kept?.key || !kept.allowed || !holds(kept.certificate, now, renewDays)) return false
  try {
    await keyOfPem(kept.key)
    return covers(kept.allowed, names)
  } catch {
    return false
  }
}

const daysLeft = (pem, now) => (new x509.X509Certificate(pem).notAfter.getTime() - now) / millisecondsPerDay

/** Whether a kept certificate still does: for all names, issued by this authority, and for a while yet. */
function isGood(kept, authority, names, now) {
  try {
    return (
      names.every((name) => kept.names.includes(name)) &&
      new x509.X509Certificate(kept.certificate).issuer ===
        new x509.X509Certificate(authority.certificate).subject &&
      kept.authority === authority.certificate &&
      holds(kept.certificate, now, renewDays)
    )
  } catch {
    return false
  }
}

/**
 * Key and certificate for the names, made at first use and again in time; and the authority's certificate, which phones are to trust.
 * @param folder where they are kept, readable by its owner alone
 * @param tell told what was wrong with what is kept
 * @returns texts in PEM, and whether the certificate is a new one
 */
export async function certificatesFor(folder, names, now = Date.now(), tell = () => undefined) {
  if (!existsSync(folder)) mkdirSync(folder, { recursive: true, mode: 0o700 })
  const [authorityFile, certificateFile] = [join(folder, 'authority.json'), join(folder, 'certificate.json')]
  let authority = readJson(authorityFile, tell)
  if (!(await isGoodAuthority(authority, names, now))) {
    if (authority) tell(say('certificates.newAuthority'))
    authority = await makeAuthority(names, now)
    write(authorityFile, JSON.stringify(authority))
  }
  const kept = readJson(certificateFile, tell)
  if (isGood(kept, authority, names, now))
    return { key: kept.key, certificate: kept.certificate, authority: authority.certificate, isNew: false }
  const made = { ...(await makeCertificate(authority, names, now)), authority: authority.certificate }
  write(certificateFile, JSON.stringify(made))
  return { key: made.key, certificate: made.certificate, authority: authority.certificate, isNew: true }
}
