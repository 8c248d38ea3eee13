import type { RouteName } from '../paths/index.ts';
import { auditRoutes } from './audit.ts';
import { authRoutes } from './auth.ts';
import { busRoutes } from './bus.ts';
import { calendarRoutes } from './calendars.ts';
import { companyRoutes } from './company.ts';
import { controllerRoutes } from './controllers.ts';
import { exportRoutes } from './exports.ts';
import { jobRoutes } from './jobs.ts';
import { lineRoutes } from './lines.ts';
import { logRoutes } from './logs.ts';
import { meaningRoutes } from './meanings.ts';
import { peopleRoutes } from './people.ts';
import { pictureRoutes } from './pictures.ts';
import { practiceRoutes } from './practice.ts';
import { reviewRoutes } from './reviews.ts';
import { shareRoutes } from './shares.ts';
import { sheetRoutes } from './sheets.ts';
import { siteRoutes } from './sites.ts';
import { unitRoutes } from './units.ts';
import { workRoutes } from './work.ts';

/** Every route of the API by its name, health and the OpenAPI document apart. */
export const api = {
  ...authRoutes,
  ...auditRoutes,
  ...peopleRoutes,
  ...companyRoutes,
  ...siteRoutes,
  ...unitRoutes,
  ...jobRoutes,
  ...controllerRoutes,
  ...meaningRoutes,
  ...pictureRoutes,
  ...practiceRoutes,
  ...reviewRoutes,
  ...lineRoutes,
  ...busRoutes,
  ...workRoutes,
  ...sheetRoutes,
  ...logRoutes,
  ...shareRoutes,
  ...exportRoutes,
  ...calendarRoutes,
} as const satisfies Readonly<Record<RouteName, unknown>>;

export type Api = typeof api;
