import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { x509 } from './x509.mjs';
import { ALGORITHM, DAY_MS, goodFor, keepKey, newKeys, readKey, serialNumber, writeWhole } from './keys.mjs';
import { beyondLimits, limitedTo } from './limits.mjs';

const AUTHORITY_DAYS = 3650;
/** Phones refuse certificates of more than 825 days, whoever signed them. */
const SERVER_DAYS = 820;
/** With less than this left a new one is made at the next start. */
const RENEW_DAYS = 200;

/**
 * A certificate for this machine's names, signed by an authority of its own; both are kept in `folder` with their keys. The authority is made once, since every phone
 * must be told to trust it; the certificate is made anew when a name came to it or its time runs out.
 *
 * @returns paths of `cert`, `key` and `authority` (PEM), and the authority's SHA-256 fingerprint.
 * @throws where the authority may not sign for one of the names, or ends soon.
 */
export async function ownCertificate(folder, names, now = new Date()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const at = (file) => join(folder, file);
  const paths = { cert: at('server.pem'), key: at('server-key.pem'), authority: at('authority.pem') };
  const signingKey = at('authority-key.pem');
  if (!existsSync(paths.authority) || !existsSync(signingKey))
    await makeAuthority(paths.authority, signingKey, names, now);
  const authority = new x509.X509Certificate(readFileSync(paths.authority, 'utf8'));
  const anew = `remove ${folder}: a new one is made, and every phone must trust it anew`;
  if (authority.notAfter < new Date(now.getTime() + RENEW_DAYS * DAY_MS))
    throw new Error(`The authority of this machine ends soon, ${authority.notAfter.toISOString()}: ${anew}.`);
  const beyond = beyondLimits(authority, names);
  if (beyond)
    throw new Error(
      `The authority of this machine may not sign for ${beyond}, a name it did not have when it was made. Give a certificate of your own with --cert and --key, or ${anew}.`,
    );
  if (!isGood(paths, names, now))
    await makeCertificate(paths, authority, await readKey(signingKey), names, now);
  return { ...paths, fingerprint: new X509Certificate(readFileSync(paths.authority)).fingerprint256 };
}

/** Whether what lies there is signed by the authority, for all of these names, for long enough. */
function isGood(paths, { hosts, addresses }, now) {
  if (!existsSync(paths.cert) || !existsSync(paths.key)) return false;
  const cert = new X509Certificate(readFileSync(paths.cert));
  return (
    cert.verify(new X509Certificate(readFileSync(paths.authority)).publicKey) &&
    new Date(cert.validTo) > new Date(now.getTime() + RENEW_DAYS * DAY_MS) &&
    hosts.every((host) => cert.checkHost(host) !== undefined) &&
    addresses.every((address) => cert.checkIP(address) !== undefined)
  );
}

async function makeAuthority(path, keyPath, names, now) {
  const keys = await newKeys();
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    // Phones list it by this name among those of banks and states.
    name: [{ CN: [`Brine Dial at ${names.hosts[1] ?? names.hosts[0]}`] }],
    ...goodFor(now, AUTHORITY_DAYS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      limitedTo(names),
    ],
  });
  await keepKey(keyPath, keys.privateKey);
  writeWhole(path, cert.toString('pem'), 0o644);
}

async function makeCertificate(paths, authority, signingKey, { hosts, addresses }, now) {
  const keys = await newKeys();
  const { notBefore, notAfter } = goodFor(now, SERVER_DAYS);
  const cert = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: [{ CN: [hosts[1] ?? hosts[0]] }],
    issuer: authority.subjectName,
    notBefore,
    notAfter: notAfter < authority.notAfter ? notAfter : authority.notAfter,
    signingAlgorithm: ALGORITHM,
    signingKey,
    publicKey: keys.publicKey,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        ...hosts.map((value) => ({ type: 'dns', value })),
        ...addresses.map((value) => ({ type: 'ip', value })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(authority.publicKey),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  await keepKey(paths.key, keys.privateKey);
  writeWhole(paths.cert, cert.toString('pem'), 0o644);
}
