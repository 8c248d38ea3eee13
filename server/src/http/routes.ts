import { authRoutes } from '../auth/auth.routes.ts';
import { companyRoutes } from '../company/company.routes.ts';
import { controllerRoutes } from '../controllers/controllers.routes.ts';
import { jobRoutes } from '../jobs/jobs.routes.ts';
import { meaningRoutes } from '../meanings/meanings.routes.ts';
import { practiceRoutes } from '../practice/practice.routes.ts';
import { peopleRoutes } from '../people/people.routes.ts';
import { reviewRoutes } from '../reviews/reviews.routes.ts';
import { sheetRoutes } from '../sheets/sheets.routes.ts';
import { siteRoutes } from '../sites/sites.routes.ts';
import { unitRoutes } from '../units/units.routes.ts';
import type { RouteDefinition } from './route.ts';

/** Every route of the API, health and the OpenAPI document apart. */
export const routes: readonly RouteDefinition[] = [
  ...authRoutes,
  ...peopleRoutes,
  ...companyRoutes,
  ...siteRoutes,
  ...unitRoutes,
  ...jobRoutes,
  ...controllerRoutes,
  ...meaningRoutes,
  ...practiceRoutes,
  ...reviewRoutes,
  ...sheetRoutes,
];
