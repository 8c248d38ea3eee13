import { boolean, object, string } from 'yup';
import { device, idParams, name, version } from '../fields/index.ts';
import { LONGEST_PASSWORD } from '../lengths/index.ts';
import { secondCode, signedIn } from './auth.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { done, list, oneTimeLink, personLine, roles, said, type Role } from './views.ts';

const role = () => string<Role>().oneOf(roles, `role: expected one of ${roles.join(', ')}`);
const tokenParams = object({
  token: string()
    .required('token: expected the secret of a link')
    .max(100, 'token: expected at most 100 characters'),
});
const answersLink = object({ link: oneTimeLink.required() });
const ownText = (label: string) =>
  string().nullable().default(null).max(200, `${label}: expected at most 200 characters`);

export const peopleRoutes = {
  people: contract({
    ...paths.people,
    summary: 'Everybody with an account',
    access: 'lead',
    answer: object({ people: list(personLine) }),
  }),
  invite: contract({
    ...paths.invite,
    summary: 'Invites somebody; answers with a one-time link',
    access: 'lead',
    status: 201,
    body: object({
      login: name('Login'),
      name: name('Name'),
      role: role().required('role: expected a role'),
    }),
    answer: answersLink,
  }),
  changePerson: contract({
    ...paths.changePerson,
    summary: 'Changes role or name, disables or enables',
    access: 'lead',
    params: idParams,
    body: object({
      role: role().optional(),
      name: name('Name').optional(),
      disabled: boolean().optional(),
      version: version(),
    }),
    answer: object({ person: personLine.required() }),
  }),
  resetPassword: contract({
    ...paths.resetPassword,
    summary: 'Ends the password; answers with a one-time link for a new one',
    access: 'lead',
    params: idParams,
    answer: answersLink,
  }),
  resetSecond: contract({
    ...paths.resetSecond,
    summary: 'Takes somebody’s second factor away, whose phone is gone; signs them out everywhere',
    access: 'lead',
    params: idParams,
    answer: done,
  }),
  endSessions: contract({
    ...paths.endSessions,
    summary: 'Signs somebody out everywhere',
    access: 'lead',
    params: idParams,
    answer: done,
  }),
  link: contract({
    ...paths.link,
    summary: 'What a one-time link is for',
    access: 'public',
    params: tokenParams,
    answer: object({
      link: object({
        kind: string<'firstLead' | 'invite' | 'reset'>().oneOf(['firstLead', 'invite', 'reset']).required(),
        name: said(),
        login: said().nullable(),
        role: string<Role>().oneOf(roles).required(),
      }).required(),
    }),
  }),
  takeLink: contract({
    ...paths.takeLink,
    summary: 'Takes a one-time link: sets the password and signs in',
    access: 'public',
    params: tokenParams,
    body: object({
      login: ownText('Login'),
      name: ownText('Name'),
      password: string()
        .required('Password: expected a password')
        .max(LONGEST_PASSWORD, `Password: expected at most ${LONGEST_PASSWORD} characters`),
      code: secondCode().optional(),
      device: device(),
    }),
    answer: signedIn,
  }),
};
