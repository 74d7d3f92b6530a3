import type { LucideIcon } from 'lucide-react';
import { BookOpen, CalendarCheck, FlaskConical, Hourglass, Scale, Shovel, Sprout, Tags, Quote } from 'lucide-react';

export interface Stage {
  readonly path: string;
  readonly name: string;
  readonly question: string;
  readonly icon: LucideIcon;
}

/** The stages in working order. */
export const STAGES: readonly Stage[] = [
  { path: '/ground', name: 'Ground', question: 'Which plot, and how warm is its soil?', icon: Shovel },
  { path: '/shelf', name: 'Shelf', question: 'What is really in each bag?', icon: Tags },
  { path: '/price', name: 'Price', question: 'What does a unit of each nutrient cost?', icon: Scale },
  { path: '/release', name: 'Release', question: 'When does the nitrogen arrive?', icon: Hourglass },
  { path: '/mix', name: 'Mix', question: 'What could be mixed instead?', icon: FlaskConical },
  { path: '/rounds', name: 'Rounds', question: 'What goes where today, and what was done?', icon: CalendarCheck },
  { path: '/claims', name: 'Claims', question: 'Is what the bag promises true?', icon: Quote },
  { path: '/trials', name: 'Trials', question: 'What does it really do here, side by side?', icon: Sprout },
  { path: '/book', name: 'Book', question: 'What was changed, and when?', icon: BookOpen },
];
