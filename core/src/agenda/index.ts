export { planVisits, type KeeperCalendar, type Visit, type VisitPlan, type Window } from './visits';
export { TASKS, windowsOf, type Due, type Task } from './windows';
