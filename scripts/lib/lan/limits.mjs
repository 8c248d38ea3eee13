import { BlockList } from 'node:net';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509';
import { x509 } from './x509.mjs';

/** Private networks: RFC 1918, 6598 and 3927, and this machine itself. */
const PRIVATE = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '100.64.0.0/10',
  '169.254.0.0/16',
  '127.0.0.0/8',
];
const NAME_CONSTRAINTS = '2.5.29.30';

/**
 * Names an authority may sign for: those it is made with, `.local`, and private addresses (RFC 5280, 4.2.1.10). Whoever got hold of its key could pretend to be
 * this machine, but no bank and no mail.
 */
export function limitedTo({ hosts, addresses }) {
  const domains = [...hosts.filter((host) => !host.endsWith('.local')), 'local'];
  const isPrivate = within(PRIVATE);
  const others = addresses.filter((one) => !isPrivate(one)).map((one) => `${one}/32`);
  const permitted = [
    ...domains.map((dNSName) => new GeneralName({ dNSName })),
    ...[...PRIVATE, ...others].map(network),
  ].map((base) => new GeneralSubtree({ base }));
  const value = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) });
  return new x509.Extension(NAME_CONSTRAINTS, true, AsnConvert.serialize(value));
}

/** The first of the names that an authority may not sign for; null: it may sign for all. */
export function beyondLimits(authority, { hosts, addresses }) {
  const extension = authority.getExtension(NAME_CONSTRAINTS);
  if (!extension) return null;
  const trees = AsnConvert.parse(extension.value, NameConstraints).permittedSubtrees ?? [];
  const domains = trees.flatMap(({ base }) => (base.dNSName === undefined ? [] : [base.dNSName]));
  const isWithin = within(
    trees.flatMap(({ base }) => (base.iPAddress === undefined ? [] : [base.iPAddress])),
  );
  const isNamed = (host) => domains.some((domain) => host === domain || host.endsWith(`.${domain}`));
  return hosts.find((host) => !isNamed(host)) ?? addresses.find((address) => !isWithin(address)) ?? null;
}

function within(networks) {
  const list = new BlockList();
  for (const one of networks) {
    const [net, bits] = one.split('/');
    list.addSubnet(net, Number(bits), 'ipv4');
  }
  return (address) => list.check(address, 'ipv4');
}

/** A network as eight octets, address and mask. */
function network(one) {
  const [net, bits] = one.split('/');
  const mask = Array.from(
    { length: 4 },
    (_, i) => (0xff << (8 - Math.min(8, Math.max(0, bits - 8 * i)))) & 0xff,
  );
  const octets = [...net.split('.').map(Number), ...mask];
  return AsnConvert.parse(Uint8Array.from([0x87, octets.length, ...octets]), GeneralName);
}
