import type { CardWords } from './cardWords';

export const fr: CardWords = {
  labels: {
    Coffee: 'Café',
    Components: 'Composants',
    Roast: 'Torréfaction',
    Dose: 'Dose',
    'In the cup': 'En tasse',
    Time: 'Temps',
    Temperature: 'Température',
    Ratio: 'Rapport',
    Tolerances: 'Tolérances',
    'Taste holds': 'Le goût tient',
    Programme: 'Programme',
    'Step by step': 'Étape par étape',
    'Temperature is meant': 'Température entendue',
    Basket: 'Panier',
    'Made on': 'Réalisé sur',
    Grind: 'Mouture',
    Water: 'Eau',
    Rest: 'Repos',
    Served: 'Servi',
    'Look for': 'À retrouver',
    'The lot': 'Le lot',
    Contains: 'Contient',
    'When it is right': 'Quand c’est juste',
    'When it ran short': 'Quand c’est trop court',
    'When it ran long': 'Quand c’est trop long',
    Repeated: 'Répété',
    'Temperature school': 'École de température',
  },
  clock: { pump: 'dès la pompe', firstDrip: 'dès la première goutte' },
  process: {
    washed: 'Lavé',
    honey: 'Honey',
    natural: 'Nature',
    anaerobicWashed: 'Lavé anaérobie',
    anaerobicNatural: 'Nature anaérobie',
    carbonicMaceration: 'Macération carbonique',
    infused: 'Infusé, co-fermenté ou choc thermique',
    wetHulled: 'Décortiqué humide',
    barrelAged: 'Vieilli en fût',
    decaf: 'Décaféiné',
    other: 'Autre procédé',
  },
  roast: {
    '-2': 'Très claire',
    '-1': 'Claire',
    '-0.5': 'Moyenne-claire',
    '0': 'Moyenne',
    '0.5': 'Moyenne-foncée',
    '1': 'Foncée',
    '2': 'Très foncée',
  },
  style: {
    classic: 'Classique',
    longQuick: 'Long et rapide',
    fastCoarse: 'Rapide et grossier',
    soakFirst: 'Trempage d’abord',
    shortDense: 'Court et dense',
    declining: 'Pression décroissante',
  },
  served: { straight: 'Nature', milk: 'Au lait', both: 'Nature et au lait' },
  tolerances: (doseG, yieldG) => `dose ± ${doseG} g, tasse ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g en tasse`,
    within: (list, cost) =>
      `dans ${list} (environ 0,3 point sur 10 chacun${cost === null ? '' : ` ; l’écart habituel des cafés coûte environ ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, prévu pour ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine} ; ${grinder} à ${dial}. Votre réglage sera autre : moulez selon le temps.`,
  // Under two is one of them.
  steps: (shown) => `${shown} ${/^[01](,|$)/.test(shown) ? 'cran' : 'crans'}`,
  grindSince: (steps, isFiner, version) =>
    `Environ ${steps} plus ${isFiner ? 'fin' : 'gros'} que sur la carte de la version ${version}, sur le moulin de la maison. Le vôtre sera autre : moulez selon le temps.`,
  asSet: 'comme réglée sur la machine',
  atGroup: (shown) => `au groupe ; cette machine était réglée à ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `dureté ${hardness}`, alkalinity && `alcalinité ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L en CaCO₃)',
  rest: (from, to, day) => `Du jour ${from} au jour ${to} après la torréfaction du ${day}`,
  lot: { harvest: 'récolte', lot: 'lot', grownAt: (m) => `cultivé à ${m}` },
  labelling: 'Ce qui doit être déclaré relève du droit alimentaire local.',
  roasted: (word) => `torréfaction ${word.toLowerCase()}`,
  repeated: (times) =>
    times > 1 ? `Répété ${times} fois dans la cible.` : 'Pas encore répété dans la cible.',
  version: (number, day) => `Version ${number}, ${day}.`,
  whatChanged: 'Ce qui a changé et pourquoi',
  newest: 'Dernière version',
  caution:
    'Si rien ne coule, attendez que la pression soit retombée avant de desserrer le porte-filtre. Le groupe, le porte-filtre et la vapeur brûlent. Pour l’électricité, l’eau et la pression : la notice du fabricant et un technicien agréé.',
  card: {
    paper: 'Carte sur papier (PDF)',
    document: 'Fichier de la recette (JSON)',
    roastedOn: 'Torréfié le',
    earlier: 'Versions précédentes',
    straight: 'Nature',
    inMilk: 'Au lait',
    models:
      'Calculé par un modèle à partir de la recette de la maison : un point de départ, le goût décide.',
  },
  phases: {
    title: 'Quand le café vieillit',
    days: (from, to) => `jour ${from}-${to}`,
    asCard: 'mouture comme sur la carte',
    kept: (phased, one) =>
      `Ainsi environ ${phased} tasses sur 100 restent à 2,5 s du milieu, contre ${one} avec un seul réglage (modèle, approximatif).`,
    against: (day) =>
      `Par rapport au réglage du jour ${day} ; c’est le café qui vieillit, pas vous.`,
  },
  grind: {
    little: 'un peu',
    one: 'environ un cran',
    oneOrTwo: 'un ou deux crans',
    twoOrThree: 'deux ou trois crans',
    several: 'plusieurs crans',
    finer: (amount) => `${amount} plus fin`,
    coarser: (amount) => `${amount} plus gros`,
  },
  drinks: {
    title: 'Pour vos tasses',
    drink: 'Boisson',
    cup: 'Tasse',
    espresso: 'Espresso',
    button: 'Bouton, approximatif',
    fill: 'Pour remplir',
    milk: 'lait',
    water: 'eau',
    rough:
      'Les volumes d’espresso sont approximatifs : la crema trompe l’œil. Pesez une tasse et corrigez le bouton.',
  },
  fits: {
    title: 'Sur d’autres équipements',
    computed: 'calculé',
    tried: 'essayé',
    audience: {
      cafe: 'Café, 58 mm, température et pression réglables',
      cafeFixed: 'Café, 58 mm, température fixe',
      home54: 'Maison, 54 mm',
      homeLever: 'Maison, petit levier, 46-51 mm',
      noScale: 'Sans balance',
      pressurised: 'Panier pressurisé',
    },
    notes: {
      same: () => 'La carte telle quelle.',
      pressurised: () =>
        'Un panier pressurisé crée sa propre résistance : aucun réglage n’est possible et aucune recette honnête ne peut être donnée. Prenez un panier ouvert, ou fiez-vous au goût seul.',
      basket: ({ share }) => `Temps ± ${share} % : commencez ici, le goût décide.`,
      coarser: ({ steps }) => `Moudre ${steps} plus gros que ne serait le même réglage.`,
      finer: ({ steps }) => `Moudre ${steps} plus fin que ne serait le même réglage.`,
      soak: ({ s }) => `Environ ${s} s du temps sont le trempage à la main.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Infuse ${c} plus chaud que prévu : compensé par un rapport plus court.`
          : `Infuse ${c} moins chaud que prévu : compensé par un rapport plus long.`,
      heatOutOfReach: () => 'C’est plus qu’un rapport ne peut compenser : la tasse sera autre.',
      flush: () =>
        'Après une pause, purgez jusqu’à ce que l’eau ne crache plus, mains à l’écart : elle brûle.',
      style: ({ style, nearest }) =>
        `« ${style} » demande un contrôle de la pression ou du débit. Sans lui, « ${nearest} » est le plus proche ; ce qui fait l’autre tasse est perdu.`,
      noScale: ({ ml }) =>
        `Remplissez le panier jusqu’au repère, à ras ; arrêtez vers ${ml} d’espresso avec crema. Approximatif.`,
      clock: ({ s }) => `Compté sur votre horloge, avec ${s} s jusqu’à la première goutte.`,
    },
  },
  sheet: {
    title: 'Contrôles du jour',
    blanks: 'Café : ____________________    Date : ____________    Par : ____________',
    checks: ['avant l’ouverture', 'en milieu de matinée', 'après le déjeuner'],
    check: 'Contrôle',
    dose: 'Dose, g',
    out: 'En tasse, g',
    time: 'Temps, s',
    dial: 'Réglage',
    taste: 'Goût, remarque',
  },
};
