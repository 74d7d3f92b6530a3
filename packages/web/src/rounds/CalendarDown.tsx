import { CalendarPlus } from 'lucide-react';
import { dataAt } from '../app/ledger';

/** The rounds as a calendar file; its address can be subscribed to. */
export const CalendarDown = () => (
  <a href={dataAt('calendar.ics')} download="rounds.ics" className="action">
    <CalendarPlus size={16} aria-hidden="true" />
    Calendar file
  </a>
);
