/** The words of the check sheet and of answers to cafés. */
import { catalogue } from './catalogue';
import de from './messages/de/cafe.json';
import en from './messages/en/cafe.json';
import es from './messages/es/cafe.json';
import fr from './messages/fr/cafe.json';
import it from './messages/it/cafe.json';
import pt from './messages/pt/cafe.json';

export const cafeWords = catalogue(en, { de, fr, it, es, pt });
