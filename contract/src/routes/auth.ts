import { object, string, type InferType } from 'yup';
import { LONGEST_PASSWORD } from '../lengths/index.ts';
import { device, idParams, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { done, flag, list, person, said } from './views.ts';

/** A person and a writing ticket for the device; none for viewers. */
export const signedIn = object({ person: person.required(), ticket: said().nullable() });

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
