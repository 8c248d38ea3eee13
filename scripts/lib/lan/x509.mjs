// The library of certificates, ready for use: it asks for this polyfill before itself, and for a source of chance.
import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import * as x509 from '@peculiar/x509';

x509.cryptoProvider.set(webcrypto);

export { x509 };
