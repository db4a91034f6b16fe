export { planVisits, type KeeperCalendar, type Visit, type VisitPlan, type Window } from './visits';
export { dueAt, PREPARE, prepareFor, type Due } from './windows';
