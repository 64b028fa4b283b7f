/** The words of a card's helpers. */
import { catalogue } from './catalogue';
import de from './messages/de/helper.json';
import en from './messages/en/helper.json';
import es from './messages/es/helper.json';
import fr from './messages/fr/helper.json';
import it from './messages/it/helper.json';
import pt from './messages/pt/helper.json';

export const helperWords = catalogue(en, { de, fr, it, es, pt });
