import type { FieldWords } from './fieldWords';

export const fr: FieldWords = {
  title: 'Contrôle',
  target: 'Cible',
  dial: 'Réglage',
  roasted: 'Date de torréfaction du sachet',
  taste: 'En tasse',
  tastes: {
    fine: 'bon',
    sour: 'plutôt acide',
    bitter: 'plutôt amer',
    weak: 'léger',
    uneven: 'inégal',
  },
  remark: 'Remarque',
  send: 'Envoyer',
  next: 'Suivant',
  sent: 'Envoyé. Merci.',
  waits: 'Pas de réseau : gardé sur ce téléphone, envoyé une fois tout seul.',
  help: 'J’ai besoin d’aide',
  helpNote: 'Qu’est-ce qui ne va pas ?',
  askHelp: 'Demander à la torréfaction',
  drinks: 'Tasses',
  round: 'La torréfaction demande un tour de plus : contrôlez chaque café maintenant.',
  nothing: 'Aucune recette n’est publiée pour vous. Demandez à la torréfaction.',
  away: 'Ce téléphone ne joint pas la torréfaction. La feuille est la dernière reçue.',
  clock:
    'L’horloge de ce téléphone est fausse : le contrôle porte l’heure de son arrivée. Réglez l’horloge.',
  doseTo: (off, to) => `La dose était à ${off} de la cible : pesez d’abord ${to}.`,
  yieldTo: (off, to) => `La tasse était à ${off} de la cible : arrêtez d’abord à ${to}.`,
  choked: 'Bouché.',
  vent: 'La pression reste derrière la galette : attendez qu’elle s’échappe avant de desserrer le porte-filtre.',
  stay: 'Laissez le moulin comme il est.',
  again: 'Un écart isolé : vérifiez la galette et refaites-le.',
  purge: 'Purgez d’abord.',
  tasteOff: 'Le temps est juste, le goût non : dites-le plus bas, nous répondrons.',
  from: (from, to) => `réglage ${from} → ${to}`,
  reply: {
    greeting: (people) => (people === '' ? 'Bonjour,' : `Bonjour ${people},`),
    fast: (coffee, s) => `${coffee} coule environ ${s} trop vite chez vous.`,
    slow: (coffee, s) => `${coffee} coule environ ${s} trop lentement chez vous.`,
    all: 'Tous vos cafés ont bougé ensemble : ce n’est aucun d’eux en particulier.',
    batch: 'C’est le nouveau lot, pas vous : d’autres cafés voient la même chose.',
    dose: (off, to) =>
      `Vos doses sont à environ ${off} de la cible depuis : pesez de nouveau ${to}.`,
    yield: (coffee, off, to) =>
      `${coffee} est à environ ${off} de la cible en tasse : arrêtez de nouveau à ${to}.`,
    former: 'C’est la tasse de la carte d’avant : prenez la nouvelle.',
    silent:
      'Nous n’avons pas vu vos contrôles depuis un moment. Tout va bien ? Deux minutes nous aident tous.',
    order:
      'Regardez dans cet ordre et dites-nous : un poids connu sur la balance ; température et pression de la machine ; puis le moulin et ses meules.',
    one: (what) => `En attendant, changez une chose : ${what}.`,
    round: 'Ensuite contrôlez chaque café encore une fois : votre feuille le demande.',
    thanks: 'Merci.',
  },
};
