import { Migration } from '@mikro-orm/migrations';
import { rankAnew, SHOWN_IN_RANKING } from './ranked.js';

/** Everything a catalogue can be asked for stands in the indexes it is ranked by: what nothing cheap meets is passed over from the index alone. */
export class Migration0035AllRanked extends Migration {
  override async up(): Promise<void> {
    // As much of a long text as an entry of an index has room for; its next list cuts it by the word.
    this.addSql('update catalogue_product set words = left(words, 330) where octet_length(words) > 1000');
    rankAnew(this, [...SHOWN_IN_RANKING, 'words', 'origins', 'place']);
  }

  override async down(): Promise<void> {
    rankAnew(this, [...SHOWN_IN_RANKING, 'words']);
  }
}
