/** The words of a card's helpers. */
import { catalogue } from './catalogue';
import de from './messages/de/helper.json' with { type: 'json' };
import en from './messages/en/helper.json' with { type: 'json' };
import es from './messages/es/helper.json' with { type: 'json' };
import fr from './messages/fr/helper.json' with { type: 'json' };
import it from './messages/it/helper.json' with { type: 'json' };
import pt from './messages/pt/helper.json' with { type: 'json' };

export const helperWords = catalogue(en, { de, fr, it, es, pt });
