import { Link } from 'react-router';
import { Empty } from '../ui/Sheet';

/** Where a mix begins when there is nothing to mix. */
export const NoBags = () => (
  <Empty>
    A mix is made from bags.{' '}
    <Link to="/shelf/new" className="plain">
      Add one to the shelf
    </Link>{' '}
    first.
  </Empty>
);
