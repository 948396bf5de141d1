import type { Router } from 'express';
import { firmAuditRoutes, jobAuditRoutes } from '../audit/routes';
import { diaryRoutes, feedRoutes } from '../calendar/diary-routes';
import { holidayRoutes, jobCalendarRoutes } from '../calendar/routes';
import { chargePointRoutes } from '../charge-points/routes';
import { attachmentRoutes } from '../events/attachments';
import { eventRoutes } from '../events/routes';
import { firmRoutes } from '../firm/routes';
import { ruleRoutes } from '../firm/rule-routes';
import { instrumentRoutes } from '../instruments/routes';
import { jobRoutes } from '../jobs/routes';
import { logMappingRoutes, logRoutes } from '../logs/routes';
import { jobMailRoutes } from '../mail/routes';
import { lessonRoutes } from '../lessons/routes';
import { orderRoutes } from '../orders/routes';
import { priceRoutes } from '../prices/routes';
import { openQuotationRoutes } from '../quotations/open-routes';
import { quotationRoutes } from '../quotations/routes';
import { submissionRoutes } from '../operator/routes';
import { jobPackRoutes, packRoutes } from '../packs/routes';
import { customerRoutes } from '../customer/open-routes';
import { jobCustomerRoutes } from '../customer/routes';
import { accessRoutes } from '../people/access-routes';
import { memberRoutes } from '../people/member-routes';
import { myPasskeyRoutes, passkeySessionRoutes } from '../people/passkey-routes';
import { meRoutes, sessionRoutes } from '../people/routes';
import { peopleRoutes } from '../people/people-routes';
import { privacyRoutes } from '../privacy/routes';
import { photoRoutes, uploadRoutes } from '../photos/routes';
import { reportRoutes } from '../signals/report-routes';
import { surveyRoutes } from '../surveys/routes';
import { taskRoutes } from '../tasks/routes';
import type { AppParts } from './parts';

/** A part of the API: where it is, and whether anybody may call it or only somebody signed in. */
export interface Mount {
  readonly path: string;
  readonly open?: true;
  readonly router: Router;
}

/**
 * The whole API, each part where it answers. Everything is mounted from this list, so that the test of who may see what walks all of it, and the log knows each
 * address as it is declared.
 */
export function apiMounts(parts: AppParts): Mount[] {
  const { pool, log, metrics, sessionSecret } = parts;
  return [
    { path: '/session/passkey', open: true, router: passkeySessionRoutes(pool, metrics) },
    { path: '/session', open: true, router: sessionRoutes(pool, log, metrics) },
    { path: '/access', open: true, router: accessRoutes(pool, parts.mailer) },
    { path: '/customer', open: true, router: customerRoutes(pool, parts.mailer) },
    { path: '/quotation', open: true, router: openQuotationRoutes(pool, parts.mailer) },
    { path: '/reports', open: true, router: reportRoutes(pool, log, metrics) },
    { path: '/feed', open: true, router: feedRoutes(pool) },
    { path: '/me/passkeys', router: myPasskeyRoutes(pool) },
    { path: '/me', router: meRoutes(pool) },
    { path: '/jobs/:jobId/survey', router: surveyRoutes(pool) },
    { path: '/jobs/:jobId/customer', router: jobCustomerRoutes(pool, parts.mailer) },
    { path: '/jobs/:jobId/customer-data', router: privacyRoutes(pool) },
    { path: '/jobs/:jobId/mails', router: jobMailRoutes(pool, parts.mailer) },
    { path: '/jobs/:jobId/quotations', router: quotationRoutes(pool, parts.mailer) },
    { path: '/jobs/:jobId/packs', router: jobPackRoutes(pool) },
    { path: '/jobs/:jobId/uploads', router: uploadRoutes(pool, log) },
    { path: '/jobs/:jobId/photos', router: photoRoutes(pool) },
    { path: '/jobs/:jobId/logs', router: logRoutes(pool) },
    { path: '/jobs/:jobId/charge-points', router: chargePointRoutes(pool, sessionSecret) },
    { path: '/jobs/:jobId/events', router: eventRoutes(pool) },
    { path: '/jobs/:jobId/events/:eventId/attachments', router: attachmentRoutes(pool) },
    { path: '/jobs/:jobId/submissions', router: submissionRoutes(pool, parts.operators ?? new Map()) },
    { path: '/jobs/:jobId/calendar.ics', router: jobCalendarRoutes(pool) },
    { path: '/jobs/:jobId/record', router: jobAuditRoutes(pool) },
    { path: '/holidays', router: holidayRoutes() },
    { path: '/log-mappings', router: logMappingRoutes(pool) },
    { path: '/diary', router: diaryRoutes(pool, sessionSecret) },
    { path: '/firm/record', router: firmAuditRoutes(pool) },
    { path: '/firm/people', router: memberRoutes(pool, parts.mailer) },
    { path: '/firm/rules', router: ruleRoutes(pool) },
    { path: '/firm/tasks', router: taskRoutes(pool) },
    { path: '/firm/lessons', router: lessonRoutes(pool) },
    { path: '/firm/order', router: orderRoutes(pool) },
    { path: '/firm', router: priceRoutes(pool) },
    { path: '/firm', router: firmRoutes(pool) },
    { path: '/instruments', router: instrumentRoutes(pool) },
    { path: '/jobs', router: jobRoutes(pool) },
    { path: '/packs', router: packRoutes(pool) },
    { path: '/people', router: peopleRoutes(pool) },
  ];
}

/** An address of the API as it is declared. */
export interface Address {
  readonly method: string;
  readonly path: string;
  readonly open: boolean;
}

/** Every address of the API, found by walking its routers. */
export function addressesOf(mounts: readonly Mount[]): Address[] {
  return mounts.flatMap(({ path, open, router }) =>
    router.stack.flatMap(({ route }) => {
      if (!route) return [];
      const methods = (route as unknown as { readonly methods: Readonly<Record<string, boolean>> }).methods;
      return Object.keys(methods).map((method) => ({
        method: method === '_all' ? 'ALL' : method.toUpperCase(),
        path: `/api${path}${route.path === '/' ? '' : route.path}`,
        open: open === true,
      }));
    }),
  );
}
