import type { CardWords } from './cardWords';

export const pt: CardWords = {
  labels: {
    Coffee: 'Café',
    Components: 'Componentes',
    Roast: 'Torra',
    Dose: 'Dose',
    'In the cup': 'Na chávena',
    Time: 'Tempo',
    Temperature: 'Temperatura',
    Ratio: 'Proporção',
    Tolerances: 'Tolerâncias',
    'Taste holds': 'O sabor aguenta',
    Programme: 'Programa',
    'Step by step': 'Passo a passo',
    'Temperature is meant': 'Temperatura entendida',
    Basket: 'Cesto',
    'Made on': 'Feito em',
    Grind: 'Moagem',
    Water: 'Água',
    Rest: 'Repouso',
    Served: 'Servido',
    'Look for': 'Para encontrar',
    'The lot': 'O lote',
    Contains: 'Contém',
    'When it is right': 'Quando está certo',
    'When it ran short': 'Quando ficou curto',
    'When it ran long': 'Quando ficou longo',
    Repeated: 'Repetido',
    'Temperature school': 'Escola de temperatura',
  },
  clock: { pump: 'desde a bomba', firstDrip: 'desde a primeira gota' },
  process: {
    washed: 'Lavado',
    honey: 'Honey',
    natural: 'Natural',
    anaerobicWashed: 'Lavado anaeróbico',
    anaerobicNatural: 'Natural anaeróbico',
    carbonicMaceration: 'Maceração carbónica',
    infused: 'Infundido, cofermentado ou choque térmico',
    wetHulled: 'Descascado húmido',
    barrelAged: 'Envelhecido em barrica',
    decaf: 'Descafeinado',
    other: 'Outro processo',
  },
  roast: {
    '-2': 'Muito clara',
    '-1': 'Clara',
    '-0.5': 'Média-clara',
    '0': 'Média',
    '0.5': 'Média-escura',
    '1': 'Escura',
    '2': 'Muito escura',
  },
  style: {
    classic: 'Clássico',
    longQuick: 'Longo e rápido',
    fastCoarse: 'Rápido e grosso',
    soakFirst: 'Primeiro embeber',
    shortDense: 'Curto e denso',
    declining: 'Pressão decrescente',
  },
  served: { straight: 'Simples', milk: 'Com leite', both: 'Simples e com leite' },
  tolerances: (doseG, yieldG) => `dose ± ${doseG} g, chávena ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g na chávena`,
    within: (list, cost) =>
      `dentro de ${list} (cerca de 0,3 pontos em 10 cada${cost === null ? '' : `; o desvio habitual dos cafés custa cerca de ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, para ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine}; ${grinder} em ${dial}. O seu ajuste será outro: moa pelo tempo.`,
  steps: (shown) => `${shown} ${shown === '1' ? 'ponto' : 'pontos'}`,
  grindSince: (steps, isFiner, version) =>
    steps === null
      ? `Como na ficha da versão ${version}; o seu ajuste será outro: moa pelo tempo.`
      : `Cerca de ${steps} mais ${isFiner ? 'fino' : 'grosso'} do que na ficha da versão ${version}, no moinho da casa. O seu será outro: moa pelo tempo.`,
  asSet: 'como está posta na máquina',
  atGroup: (shown) => `no grupo; esta máquina estava posta a ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `dureza ${hardness}`, alkalinity && `alcalinidade ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L como CaCO₃)',
  rest: (from, to, day) => `Do dia ${from} ao ${to} depois da torra de ${day}`,
  lot: { harvest: 'colheita', lot: 'lote', grownAt: (m) => `cultivado a ${m}` },
  labelling: 'O que tem de ser declarado decide-o a lei alimentar local.',
  roasted: (word) => `torra ${word.toLowerCase()}`,
  repeated: (times) =>
    times > 1 ? `Repetido no alvo ${times} vezes.` : 'Ainda não repetido no alvo.',
  version: (number, day) => `Versão ${number}, ${day}.`,
  whatChanged: 'O que mudou e porquê',
  newest: 'Versão mais recente',
  caution:
    'Se nada correr, espere que a pressão saia antes de desapertar o porta-filtro. Grupo, porta-filtro e vapor queimam. Para trabalhos de eletricidade, água e pressão: o manual do fabricante e um técnico autorizado.',
  card: {
    paper: 'Ficha em papel (PDF)',
    document: 'Ficheiro da receita (JSON)',
    roastedOn: 'Torrado em',
    earlier: 'Versões anteriores',
    straight: 'Simples',
    inMilk: 'Com leite',
    models: 'Calculado por um modelo a partir da receita da casa: um começo, o sabor decide.',
  },
  phases: {
    title: 'À medida que o café envelhece',
    days: (from, to) => `dia ${from}-${to}`,
    asCard: 'moer como na ficha',
    kept: (phased, one) =>
      `Assim cerca de ${phased} em 100 chávenas ficam a 2,5 s do meio, contra ${one} com um só ajuste (modelo, aproximado).`,
    against: (day) => `Em relação ao ajuste do dia ${day}; é o café que envelhece, não você.`,
  },
  grind: {
    little: 'um pouco',
    one: 'cerca de um ponto',
    oneOrTwo: 'um ou dois pontos',
    twoOrThree: 'dois ou três pontos',
    several: 'vários pontos',
    finer: (amount) => `${amount} mais fino`,
    coarser: (amount) => `${amount} mais grosso`,
  },
  drinks: {
    title: 'Para as suas chávenas',
    drink: 'Bebida',
    cup: 'Chávena',
    espresso: 'Espresso',
    button: 'Botão, aproximado',
    fill: 'Para encher',
    milk: 'leite',
    water: 'água',
    rough:
      'Os volumes de espresso são aproximados: a crema engana o olho. Pese uma chávena e corrija o botão.',
  },
  fits: {
    title: 'Noutros equipamentos',
    computed: 'calculado',
    tried: 'experimentado',
    audience: {
      cafe: 'Café, 58 mm, temperatura e pressão ajustáveis',
      cafeFixed: 'Café, 58 mm, temperatura fixa',
      home54: 'Casa, 54 mm',
      homeLever: 'Casa, alavanca pequena, 46-51 mm',
      noScale: 'Sem balança',
      pressurised: 'Cesto pressurizado',
    },
    by: (from, to) => `${from}-${to} s`,
    notes: {
      same: () => 'A ficha tal como está.',
      pressurised: () =>
        'Um cesto pressurizado cria a sua própria resistência: não se pode afinar a moagem nem dar uma receita honesta. Use um cesto aberto, ou vá só pelo sabor.',
      basket: ({ share }) => `Tempo ± ${share} %: comece aqui, o sabor decide.`,
      coarser: ({ steps }) => `Moer ${steps} mais grosso do que seria o mesmo ajuste.`,
      finer: ({ steps }) => `Moer ${steps} mais fino do que seria o mesmo ajuste.`,
      soak: ({ s }) => `Cerca de ${s} s do tempo são o embeber à mão.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Extrai ${c} mais quente do que o previsto: compensado por uma proporção mais curta.`
          : `Extrai ${c} menos quente do que o previsto: compensado por uma proporção mais longa.`,
      heatOutOfReach: () => 'É mais do que uma proporção consegue compensar: a chávena será outra.',
      flush: () => 'Depois de uma pausa deixe correr até parar de cuspir, mãos afastadas: queima.',
      style: ({ style, nearest }) =>
        `«${style}» precisa de controlo de pressão ou de caudal. Sem ele, «${nearest}» é o mais próximo; perde-se o que torna especial a outra chávena.`,
      noScale: ({ ml }) =>
        `Encha o cesto até à marca, raso; pare a cerca de ${ml} de espresso com crema. Aproximado.`,
      clock: ({ s }) => `Contado no seu relógio, com ${s} s até à primeira gota.`,
    },
  },
};
