import { boolean, mixed, number, object, string } from 'yup';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { controllerLine, list, pin, said } from './views.ts';

/** Largest definition, bytes. */
const DEFINITION_LIMIT = 1024 * 1024;
const hashParams = object({
  hash: string()
    .required('hash: expected the hash of a version')
    .max(64, 'hash: expected at most 64 characters'),
});

/** A unit that has, had or gets a controller; `thisVersion` where it is the very version asked about. */
const controllerUse = object({
  unit: said(),
  tag: said(),
  site: said(),
  job: said(),
  title: said(),
  role: string<'old' | 'new'>().oneOf(['old', 'new']).required(),
  version: said(),
  hash: said(),
  thisVersion: boolean().required(),
});

export const controllerRoutes = {
  controllers: contract({
    ...paths.controllers,
    summary: 'The library of controllers',
    access: 'viewer',
    answer: object({ controllers: list(controllerLine) }),
  }),
  controller: contract({
    ...paths.controller,
    summary: 'One version of a definition',
    access: 'viewer',
    params: hashParams,
    answer: object({ pin: pin.required(), definition: mixed<ControllerDefinition>().required() }),
  }),
  controllerUses: contract({
    ...paths.controllerUses,
    summary:
      'Units whose jobs name this controller as the old or the new control, who added it, and what was proven of it at cabinets',
    access: 'viewer',
    params: hashParams,
    answer: object({
      uses: list(controllerUse),
      addedBy: said(),
      addedAt: said(),
      proven: list(object({ code: said(), units: number().required() })),
      shownOtherwise: list(object({ code: said(), value: said(), shown: said(), unit: said(), job: said() })),
    }),
  }),
  addController: contract({
    ...paths.addController,
    summary: 'Takes a definition into the library; refused with every fault and its path',
    access: 'technician',
    status: 201,
    limit: DEFINITION_LIMIT,
    body: object({ definition: mixed<object>().required('definition: expected a controller definition') }),
    answer: object({ controller: pin.required() }),
  }),
};
