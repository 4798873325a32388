/** One way of doing it, and what it costs. */
export interface School {
  readonly id: string;
  readonly name: string;
  readonly costs: string;
}

/** A question on which good technicians disagree. The shop answers it once; a job may depart with a reason. */
export interface HouseQuestion {
  readonly id: string;
  readonly question: string;
  readonly schools: readonly School[];
}

const school = (id: string, name: string, costs: string): School => ({ id, name, costs });

/** All questions. Ids are stored: never change one. */
export const HOUSE_QUESTIONS: readonly HouseQuestion[] = [
  {
    id: 'where',
    question: 'Do we clean on the vehicle or off it?',
    schools: [
      school(
        'in-place',
        'On the vehicle, what can be reached',
        'Quick; solvent and dirt go inwards, only the front is clean.',
      ),
      school('off', 'Off, both faces', 'A gasket and an hour more; nothing goes inwards.'),
    ],
  },
  {
    id: 'substance',
    question: 'What do we clean with?',
    schools: [
      school('throttle-cleaner', 'Throttle cleaner only', 'Dear; safe on coatings and sensors.'),
      school('mild', 'Any mild solvent', 'Cheap; patience and cloth.'),
      school('strong', 'Strong carburettor solvent, bare metal only', 'Fast; takes coatings and seals with it.'),
      school(
        'bath',
        'Acid or detergent bath for a fully stripped cable body',
        'Cleanest; hours, and waste to be disposed of.',
      ),
      school('nearly-dry', 'Nearly dry wiping on electronic units', 'Slow; nothing runs into the motor.'),
    ],
  },
  {
    id: 'tool',
    question: 'What touches the bore?',
    schools: [
      school('soft', 'Soft brush and cloth only', 'Slow on coke; never scratches.'),
      school(
        'scraper',
        'Scraper and wire brush on heavy diesel coke, bare metal only',
        'Fast; one slip marks the bore.',
      ),
    ],
  },
  {
    id: 'gasket',
    question: 'What about the gasket?',
    schools: [
      school('renew', 'Renew it, dry', 'A few crowns each time.'),
      school('renew-oiled', 'Renew it, film of oil', 'Comes off easily next time; wrong on some materials.'),
      school('reuse', 'Reuse it if proud and unmarked', 'Nothing to order; a leak if the eye was wrong.'),
    ],
  },
  {
    id: 'battery',
    question: 'When is the battery disconnected?',
    schools: [
      school('always', 'Always first', 'Radio code, clock, learned values.'),
      school('electronics', 'Only when electronics are unplugged', 'Less to set up again.'),
      school('not-cable', 'Not needed for cable bodies', 'Quick; a slipped spanner finds the live side.'),
    ],
  },
  {
    id: 'hoses',
    question: 'What is done with coolant hoses?',
    schools: [
      school('clamp', 'Clamp them', 'Clean; old hose can crack under the clamp.'),
      school('plug', 'Plug them', 'A bung to take out again.'),
      school('tie-up', 'Tie them up high', 'Nothing to buy; drips when moved.'),
    ],
  },
  {
    id: 'caught-coolant',
    question: 'What is done with caught coolant?',
    schools: [
      school('return', 'Return it if clean', 'Nothing to buy; needs a clean tray.'),
      school('fresh-mix', 'Fresh only, top up with mix', 'Dearer; always the right strength.'),
      school('deionised', 'Deionised water for a small loss', 'Cheap; thins the mix each time.'),
    ],
  },
  {
    id: 'plate',
    question: 'How is the plate moved?',
    schools: [
      school('by-hand', 'By hand, unplugged and off', 'Quick; a forced gear strips.'),
      school('by-pedal', 'By pedal, key on', 'Safe for the gear; fingers must be away.'),
      school('never', 'Never by hand on electronic units', 'Slower cleaning.'),
    ],
  },
  {
    id: 'relearn',
    question: 'How is it relearned?',
    schools: [
      school('tool', 'By scan tool', 'Sure; needs the tool.'),
      school('timed', 'By timed key and pedal', 'No tool; one slip and again from the start.'),
      school('drive', 'By a drive', 'Nothing to do; a rough first day.'),
      school('itself', 'It will adapt by itself', 'Free; some never do.'),
    ],
  },
  {
    id: 'tightening',
    question: 'How are small fasteners tightened?',
    schools: [
      school('figure', 'To a figure, in stages', 'A low-range wrench, and a minute a bolt.'),
      school('feel', 'By feel into plastic', 'Quick; nobody can prove it.'),
    ],
  },
  {
    id: 'stop-screw',
    question: 'May the stop screw be touched?',
    schools: [
      school('never', 'Never', 'A warped body must be replaced.'),
      school(
        'stop-gap',
        'Trimmed on a warped outboard body as a stop-gap',
        'Home before dark; wrong zero for the computer.',
      ),
    ],
  },
  {
    id: 'idle-screw',
    question: 'What cures a leaking idle screw?',
    schools: [
      school('new', 'New screw with O-ring', 'A part to wait for.'),
      school('tape', 'Thread tape', 'Today; shreds can go inwards.'),
    ],
  },
  {
    id: 'grease',
    question: 'Which grease do rings go in with, where several suit?',
    schools: [
      school('silicone-grease', 'Silicone grease', 'Suits most rubbers, not silicone; keeps paint from holding.'),
      school('petroleum-jelly', 'Petroleum jelly', 'On every bench; swells EPDM.'),
      school('clean-oil', 'A film of clean oil', 'Always at hand; gone after the first summer.'),
    ],
  },
  {
    id: 'scrape-face',
    question: 'What takes an old gasket off its face?',
    schools: [
      school('plastic', 'Plastic first, then softener', 'Slow; the face stays flat.'),
      school('metal', 'A steel scraper held flat', 'Fast; one slip is a leak.'),
    ],
  },
  {
    id: 'bearing-air',
    question: 'Is compressed air blown at the shaft?',
    schools: [
      school('never', 'Never into bearings', 'Dirt is wiped out, which takes longer.'),
      school('outside', 'From outside, from a distance', 'Quick; what is loose may go in.'),
    ],
  },
  {
    id: 'running-spray',
    question: 'Is cleaner sprayed into a running petrol engine?',
    schools: [
      school('never', 'Never', 'What cannot be reached stays.'),
      school(
        'bursts',
        'Short bursts, warm, somebody at the key',
        'Nothing comes off; sensors and catalyst get it all.',
      ),
    ],
  },
];

/** The shop's answers, question id → school id. A question without an answer has no rule. */
export type HouseRules = Readonly<Record<string, string>>;

/** The rule for a question, or null when the shop has none. */
export function ruleFor(rules: HouseRules, question: string): School | null {
  const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
  return asked?.schools.find(({ id }) => id === rules[question]) ?? null;
}

/** What is wrong with an answer, or null. */
export function ruleProblem(question: string, answer: string): string | null {
  const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
  if (asked === undefined) return `There is no question “${question}”.`;
  return asked.schools.some(({ id }) => id === answer)
    ? null
    : `“${asked.question}” is answered by one of: ${asked.schools.map(({ name }) => name).join('; ')}.`;
}

/** The school that a choice stands for, where a house rule speaks about it. */
export const schoolOfChoice = (choice: string): { readonly question: string; readonly school: string } | null =>
  choice === 'clean-in-place'
    ? { question: 'where', school: 'in-place' }
    : choice === 'clean-bench'
      ? { question: 'where', school: 'off' }
      : null;

/** The house rule that a choice would depart from, or null. */
export function departure(
  rules: HouseRules,
  choice: string,
): { readonly question: HouseQuestion; readonly rule: School } | null {
  const taken = schoolOfChoice(choice);
  if (taken === null) return null;
  const rule = ruleFor(rules, taken.question);
  const question = HOUSE_QUESTIONS.find(({ id }) => id === taken.question);
  return rule === null || question === undefined || rule.id === taken.school ? null : { question, rule };
}
