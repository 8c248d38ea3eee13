import { object, string } from 'yup';
import { device } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { done, person, said } from './views.ts';

/** A person and a writing ticket for the device; none for viewers. */
export const signedIn = object({ person: person.required(), ticket: said().nullable() });

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
        .max(500, 'Password: expected at most 500 characters'),
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
  endTicket: contract({
    ...paths.endTicket,
    summary: 'Ends the writing ticket in the header x-brine-ticket',
    access: 'ticket',
    answer: done,
  }),
};
