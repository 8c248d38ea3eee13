import { api } from '@brine/contract/routes';
import { personNamed } from '../audit/about.ts';
import { noted, personOf, serve } from '../http/route.ts';
import {
  beginSecond,
  confirmSecond,
  endSecond,
  readSecond,
  renewRecoveryCodes,
  resetSecond,
} from './secondFactor.service.ts';

export const secondFactorRoutes = [
  serve(api.second, (input) => readSecond(input.services, personOf(input))),
  serve(
    api.beginSecond,
    (input) => beginSecond(input.services, input.caller, personOf(input), input.body.password),
    noted('secondBegun'),
  ),
  serve(
    api.confirmSecond,
    (input) => confirmSecond(input.services, input.caller, personOf(input), input.body),
    noted('secondConfirmed'),
  ),
  serve(
    api.renewRecoveryCodes,
    (input) => renewRecoveryCodes(input.services, input.caller, personOf(input), input.body.code),
    noted('recoveryRenewed'),
  ),
  serve(
    api.endSecond,
    async (input) => {
      await endSecond(input.services, input.caller, personOf(input), input.body.code);
      return { done: true };
    },
    noted('secondEnded'),
  ),
  serve(
    api.resetSecond,
    async ({ services, params }) => {
      await resetSecond(services, params.id);
      return { done: true };
    },
    async ({ services, params }) => ({
      kind: 'secondReset',
      about: await personNamed(services, params.id),
    }),
  ),
];
