import { object, string, type InferType } from 'yup';
import { LONGEST_PASSWORD } from '../lengths/index.ts';
import { device, idParams, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, done, flag, list, person, said } from './views.ts';

/** A person and a writing ticket for the device; none for viewers. */
export const signedIn = object({ person: person.required(), ticket: said().nullable() });

/** Six digits of an app, or a recovery code. */
export const secondCode = () => string().max(40, 'Code: expected six digits, or a recovery code');
const asked = () => secondCode().required('Code: expected the six digits that your app shows');
const recoveryCodes = list(said());

/** A browser somebody is signed in at. */
const sessionLine = object({
  id: said(),
  browser: said(),
  createdAt: said(),
  lastUsedAt: said(),
  current: flag(),
});
export type SessionLine = DeepReadonly<InferType<typeof sessionLine>>;

export const authRoutes = {
  signIn: contract({
    ...paths.signIn,
    summary: 'Opens a session; answers with the person and a writing ticket for the device',
    access: 'public',
    body: object({
      login: string()
        .required('Login: expected your login')
        .max(200, 'Login: expected at most 200 characters'),
      password: string()
        .required('Password: expected your password')
        .max(LONGEST_PASSWORD, `Password: expected at most ${LONGEST_PASSWORD} characters`),
      code: secondCode().optional(),
      device: device(),
    }),
    answer: signedIn,
  }),
  signOut: contract({
    ...paths.signOut,
    summary: 'Ends this session; entries still waiting on the device stay its author’s',
    access: 'public',
    answer: done,
  }),
  lookAround: contract({
    ...paths.lookAround,
    summary:
      'Opens the demo company beside one’s own, with a session there in the role one has; makes it where nobody has looked yet',
    access: 'viewer',
    answer: object({ at: said() }),
  }),
  me: contract({
    ...paths.me,
    summary: 'Who is signed in',
    access: 'viewer',
    beforeSecond: true,
    answer: object({ person: person.required() }),
  }),
  renewTicket: contract({
    ...paths.renewTicket,
    summary: 'A new writing ticket for this device',
    access: 'technician',
    body: object({ device: device() }),
    answer: object({ ticket: said().nullable() }),
  }),
  changePassword: contract({
    ...paths.changePassword,
    summary:
      'Changes one’s own password; signs out every other browser and device; answers with a new ticket for this one',
    access: 'viewer',
    body: object({
      current: string()
        .required('Present password: expected it')
        .max(LONGEST_PASSWORD, `Present password: expected at most ${LONGEST_PASSWORD} characters`),
      next: string()
        .required('New password: expected a password')
        .max(LONGEST_PASSWORD, `New password: expected at most ${LONGEST_PASSWORD} characters`),
      device: device(),
    }),
    answer: object({ ticket: said().nullable() }),
  }),
  second: contract({
    ...paths.second,
    summary: 'Whether one has a second factor, and how many recovery codes are left',
    access: 'viewer',
    beforeSecond: true,
    answer: object({ since: string().nullable().defined(), recoveryLeft: count(), required: flag() }),
  }),
  beginSecond: contract({
    ...paths.beginSecond,
    summary: 'A secret for an authenticator app; it counts once a code of it is confirmed',
    access: 'viewer',
    beforeSecond: true,
    body: object({
      password: string()
        .required('Password: expected your password')
        .max(LONGEST_PASSWORD, `Password: expected at most ${LONGEST_PASSWORD} characters`),
    }),
    answer: object({ secret: said(), address: said() }),
  }),
  confirmSecond: contract({
    ...paths.confirmSecond,
    summary:
      'Confirms the second factor with its first code; signs out every other browser and device; answers with recovery codes, once, and a new ticket',
    access: 'viewer',
    beforeSecond: true,
    body: object({ code: asked(), device: device() }),
    answer: object({ recoveryCodes, ticket: said().nullable() }),
  }),
  renewRecoveryCodes: contract({
    ...paths.renewRecoveryCodes,
    summary: 'Another set of recovery codes; those of before end',
    access: 'viewer',
    body: object({ code: asked() }),
    answer: object({ recoveryCodes }),
  }),
  endSecond: contract({
    ...paths.endSecond,
    summary: 'Ends one’s second factor, where the company does not ask for it',
    access: 'viewer',
    body: object({ code: asked() }),
    answer: done,
  }),
  sessions: contract({
    ...paths.sessions,
    summary: 'Where one is signed in, last used first',
    access: 'viewer',
    answer: object({ sessions: list(sessionLine) }),
  }),
  endSession: contract({
    ...paths.endSession,
    summary: 'Ends one of one’s own sessions',
    access: 'viewer',
    params: idParams,
    answer: done,
  }),
  endTicket: contract({
    ...paths.endTicket,
    summary: 'Ends the writing ticket in the header x-brine-ticket',
    access: 'ticket',
    answer: done,
  }),
};
