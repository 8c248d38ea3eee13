import { hostname, networkInterfaces } from 'node:os';

/** Networks inside this machine or beside the real one: a phone does not reach them. */
const BESIDE = /^(docker|br-|veth|virbr|vmnet|vboxnet|tun|tap|utun|zt)/;

/** Addresses of this machine on its networks, those a phone is likely to reach first. IPv4: links are typed and read aloud. */
export function lanAddresses(interfaces = networkInterfaces()) {
  const found = Object.entries(interfaces).flatMap(([name, list]) =>
    (list ?? [])
      .filter((one) => one.family === 'IPv4' && !one.internal)
      .map(({ address }) => ({ name, address })),
  );
  const beside = ({ name }) => BESIDE.test(name);
  return [...found.filter((one) => !beside(one)), ...found.filter(beside)].map(({ address }) => address);
}

/** Every name under which this machine is called on its network. */
export function lanNames(publicUrl, host = hostname(), addresses = lanAddresses()) {
  const own = host.toLowerCase().replace(/\.local$/, '');
  const called = publicUrl ? new URL(publicUrl).hostname.toLowerCase() : null;
  const isAddress = called !== null && /^[\d.]+$/.test(called);
  return {
    hosts: [...new Set(['localhost', own, `${own}.local`, ...(called && !isAddress ? [called] : [])])],
    addresses: [...new Set(['127.0.0.1', ...addresses, ...(isAddress ? [called] : [])])],
  };
}
