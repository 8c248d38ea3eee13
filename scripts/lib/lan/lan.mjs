import { join } from 'node:path';
import { renderUnicodeCompact } from 'uqr';
import { say } from '../say.mjs';
import { ownCertificate } from './authority.mjs';
import { lanAddresses, lanNames } from './names.mjs';
import { serveTrust } from './trustServer.mjs';

/**
 * Everything that phones on the local network need: the certificate, and the page on which they learn to trust it.
 * `data`: folder of the data, beside which the authority is kept; `port`: of Brine Dial; `trustPort`: of that page.
 * Resolves with what the server is told by environment, and what to say once it serves.
 */
export async function readyForPhones({ data, port, trustPort, publicUrl }) {
  const { cert, key, authority, fingerprint } = await ownCertificate(
    join(data, 'authority'),
    lanNames(publicUrl),
  );
  const host = lanAddresses()[0] ?? 'localhost';
  const address = publicUrl?.replace(/\/$/, '') ?? `https://${host}:${port}`;
  const page = await serveTrust({ port: trustPort, address, authority, fingerprint });
  const trust = `http://${host}:${page.port}`;
  return {
    env: {
      BRINE_TLS_CERT: cert,
      BRINE_TLS_KEY: key,
      BRINE_PHONE_URL: address,
      BRINE_TRUST_URL: trust,
      BRINE_TRUST_FINGERPRINT: fingerprint,
    },
    tell: () =>
      say(
        `\nFor phones on this network, once each: ${trust}\n${renderUnicodeCompact(trust, { border: 2 })}\n` +
          `Fingerprint of its certificate (SHA-256):\n${fingerprint}\n` +
          (lanAddresses().length > 1
            ? `Other addresses of this machine: ${lanAddresses().slice(1).join(', ')}\n`
            : ''),
      ),
    stop: page.stop,
  };
}
