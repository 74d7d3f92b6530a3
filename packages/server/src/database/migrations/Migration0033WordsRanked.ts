import { Migration } from '@mikro-orm/migrations';
import { rankAnew, SHOWN_IN_RANKING } from './ranked.js';

/**
 * The words a product is found by stand in the indexes it is ranked by: what a word finds may be dear, and all that is cheaper is passed over on the way
 * to it, from the index alone.
 */
export class Migration0033WordsRanked extends Migration {
  override async up(): Promise<void> {
    rankAnew(this, [...SHOWN_IN_RANKING, 'words']);
  }

  override async down(): Promise<void> {
    rankAnew(this, SHOWN_IN_RANKING);
  }
}
