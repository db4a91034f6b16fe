import { dueAt, planVisits, prepareFor, type Due } from '@gentle-burrow/core/agenda';
import { dayOf, plainText } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { z } from 'zod';
import type { Services } from '../services';
import { zoneAsked, zoneOf } from '../zone';

const DAYS = 90;
/** A visit is planned for the evening, and takes so long for each tube, minutes. Priors. */
const MINUTES_A_TUBE = 5;

/**
 * The visits of the next ninety days as iCalendar (RFC 5545): a feed to subscribe to. A tube's task keeps its UID, so that
 * a calendar moves it when the plan moves instead of showing it twice.
 */
export async function agendaRoutes(app: FastifyInstance, { store, views, now }: Services): Promise<void> {
  app.withTypeProvider<ZodTypeProvider>().get(
    '/agenda.ics',
    {
      schema: { tags: ['agenda'], summary: 'Visits as iCalendar', querystring: z.object(zoneAsked) },
    },
    async (request, reply) => {
      const at = now();
      const { rows } = JSON.parse(await views.shelf(at.toISOString())) as { rows: ShelfRow[] };
      const settings = await store.settings();
      const { weekdays, absences } = settings;
      const zone = zoneOf(settings, request.query.zone);
      const due = rows.flatMap(dueAt);
      const plan = planVisits(
        due.filter((d) => !d.timer),
        { weekdays, absences, from: at.toISOString(), days: DAYS, zone },
      );
      const names = new Map(rows.map((r) => [r.queen.id, r.queen.label]));
      const calendar = ical({
        name: 'Gentle Burrow',
        prodId: { company: 'Gentle Burrow', product: 'visits', language: 'EN' },
        method: ICalCalendarMethod.PUBLISH,
        ttl: 60 * 60,
      });
      const title = (d: Due) => `${names.get(d.queenId) ?? 'A queen'}: ${plainText(d.says, zone)}`;
      const details = (d: Due) => `Have ready: ${prepareFor(d).join(', ')}.`;
      // her page begins with the answers to what is asked of her
      const url = (d: Due) => `${request.protocol}://${request.host}/queens/${d.queenId}`;
      for (const d of due.filter((x) => x.timer)) {
        calendar.createEvent({
          id: uid(d),
          stamp: at,
          start: new Date(d.best),
          end: new Date(d.notAfter),
          summary: title(d),
          description: details(d),
          url: url(d),
        });
      }
      for (const visit of plan.visits) {
        for (const w of visit.windows as Due[]) {
          calendar.createEvent({
            id: uid(w),
            stamp: at,
            start: new Date(`${visit.day}T00:00:00Z`),
            allDay: true,
            summary: title(w),
            description:
              `${details(w)} By ${dayOf(w.notAfter, zone)}. About ${MINUTES_A_TUBE} minutes.`.trim(),
            url: url(w),
          });
        }
      }
      return reply
        .type('text/calendar; charset=utf-8')
        .header('content-disposition', 'inline; filename="gentle-burrow.ics"')
        .send(calendar.toString());
    },
  );
}

const uid = (d: Due): string => `${d.id}@gentle-burrow`;
