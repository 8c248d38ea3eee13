import { busLineEntity } from '../bus/busLine.entity.ts';
import { busLinkEntity } from '../bus/busLink.entity.ts';
import { calendarFeedEntity } from '../calendars/calendarFeed.entity.ts';
import { companyEntity } from '../company/company.entity.ts';
import { controllerEntity } from '../controllers/controller.entity.ts';
import { entryEntity } from '../jobs/entry.entity.ts';
import { invitationEntity } from '../people/invitation.entity.ts';
import { logEntity } from '../logs/log.entity.ts';
import { shareEntity } from '../shares/share.entity.ts';
import { jobEntity } from '../jobs/job.entity.ts';
import { meaningEntity } from '../meanings/meaning.entity.ts';
import { pictureEntity } from '../pictures/picture.entity.ts';
import { practiceRunEntity } from '../practice/practiceRun.entity.ts';
import { personEntity } from '../people/person.entity.ts';
import { sessionEntity } from '../auth/session.entity.ts';
import { siteEntity } from '../sites/site.entity.ts';
import { ticketEntity } from '../auth/ticket.entity.ts';
import { attemptEntity } from '../auth/attempt.entity.ts';
import { unitEntity } from '../units/unit.entity.ts';
import { workEntity } from '../work/work.entity.ts';

/** Every table the ORM knows. */
export const entities = [
  companyEntity,
  personEntity,
  sessionEntity,
  ticketEntity,
  invitationEntity,
  attemptEntity,
  siteEntity,
  unitEntity,
  jobEntity,
  entryEntity,
  controllerEntity,
  practiceRunEntity,
  meaningEntity,
  pictureEntity,
  logEntity,
  shareEntity,
  workEntity,
  busLineEntity,
  busLinkEntity,
  calendarFeedEntity,
];
