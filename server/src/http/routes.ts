import { auditRoutes } from '../audit/audit.routes.ts';
import { authRoutes } from '../auth/auth.routes.ts';
import { busRoutes } from '../bus/bus.routes.ts';
import { calendarRoutes } from '../calendars/calendars.routes.ts';
import { changeRoutes } from '../changes/changes.routes.ts';
import { companyRoutes } from '../company/company.routes.ts';
import { controllerRoutes } from '../controllers/controllers.routes.ts';
import { jobRoutes } from '../jobs/jobs.routes.ts';
import { exportRoutes } from '../exports/exports.routes.ts';
import { logRoutes } from '../logs/logs.routes.ts';
import { secondFactorRoutes } from '../secondFactor/secondFactor.routes.ts';
import { shareRoutes } from '../shares/shares.routes.ts';
import { meaningRoutes } from '../meanings/meanings.routes.ts';
import { pictureRoutes } from '../pictures/pictures.routes.ts';
import { practiceRoutes } from '../practice/practice.routes.ts';
import { peopleRoutes } from '../people/people.routes.ts';
import { reviewRoutes } from '../reviews/reviews.routes.ts';
import { sheetRoutes } from '../sheets/sheets.routes.ts';
import { siteRoutes } from '../sites/sites.routes.ts';
import { unitRoutes } from '../units/units.routes.ts';
import { workRoutes } from '../work/work.routes.ts';
import type { ServedRoute } from './route.ts';

/** Every route of the API, health and the OpenAPI document apart. */
export const routes: readonly ServedRoute[] = [
  ...authRoutes,
  ...auditRoutes,
  ...secondFactorRoutes,
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
  ...sheetRoutes,
  ...logRoutes,
  ...shareRoutes,
  ...exportRoutes,
  ...busRoutes,
  ...workRoutes,
  ...changeRoutes,
  ...calendarRoutes,
];
