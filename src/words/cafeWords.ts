/** The words of the check sheet and of answers to cafés. */
import { catalogue } from './catalogue';
import de from './messages/de/cafe.json' with { type: 'json' };
import en from './messages/en/cafe.json' with { type: 'json' };
import es from './messages/es/cafe.json' with { type: 'json' };
import fr from './messages/fr/cafe.json' with { type: 'json' };
import it from './messages/it/cafe.json' with { type: 'json' };
import pt from './messages/pt/cafe.json' with { type: 'json' };

export const cafeWords = catalogue(en, { de, fr, it, es, pt });
