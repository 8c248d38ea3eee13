import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { listAudit } from './audit.service.ts';

export const auditRoutes = [serve(api.audit, ({ services, query }) => listAudit(services, query))];
