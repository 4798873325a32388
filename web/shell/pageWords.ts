/** What a page is, in a few sentences, and what to try first on it. Shipped with the program. */
export interface PageWords {
  readonly title: string;
  readonly about: readonly string[];
  /** Said once, on the first visit on this device. */
  readonly hint: string;
}

/** Pages by the name of their route. */
export const PAGE_WORDS: Readonly<Record<string, PageWords>> = {
  bay: {
    title: 'The Bay',
    about: [
      'The day, woven over people and vehicles. Solid is done, outlined is planned, hatched is a wait that needs nobody, dots wait for a part; a flag is a promise.',
      'A block is shifted, given to somebody or let go by tapping it, or by dragging it. What clashes stands on the right, with two ways out.',
      'On the right too: what fits into the wait you are in, which waits are used for what, and what moved since the plan before.',
      'Jobs that rest stand below, with why and until when; on their day they are back in the lines by themselves.',
    ],
    hint: 'Tap a line to go on with that job where it stands.',
  },
  bench: {
    title: 'A bench',
    about: [
      'What one person does now, and what then, by the plan of the day. When a wait is over it says so, with a knock where somebody asked for one.',
    ],
    hint: 'Tap the work to go to it.',
  },
  due: {
    title: 'What is due',
    about: [
      'Each vehicle by how fast it fouled between its visits and how much it is used: the likeliest day, and the time in which 8 of 10 such vehicles come to be due.',
      'On the right: what was renewed on them the last time, and whether it lies on the shelf.',
    ],
    hint: 'Tap a vehicle for the reasons, a message to its customer, and a planned job.',
  },
  lasting: {
    title: 'What lasts',
    about: [
      'How long each kind of repair held in this shop, from its own jobs: by the next fault, by what was seen later, and by what customers said when they were asked.',
      'Two kinds are compared by the log-rank test, and where there are too few it says so.',
    ],
    hint: 'Ask the customers below: until then those repairs count for nothing.',
  },
  practice: {
    title: 'Practice',
    about: [
      'Simulated vehicles with one or two faults hidden in them, worked with the screens of real work. The clipped plate and the stitched edge say that nothing there is real.',
      'You rank the causes, choose what to look at and judge what you see; the program keeps its own ranking until you ask for it. Afterwards both ways stand side by side.',
      'Drills take five minutes. What you practise comes back before you forget it; a lead reads and countersigns, and nobody is set beside another.',
    ],
    hint: 'Begin with any vehicle, or take a drill of five minutes.',
  },
  'practice-review': {
    title: 'A review',
    about: [
      'What was hidden, your way and that of the plan on one scale of minutes, and where they part. The plan did not know the fault: it looked as long as a look was expected to save more than it cost.',
      'Beside each look stands what you recorded, what it was, and how much likelier it made what was really wrong.',
    ],
    hint: 'Read the first letter: that is where your way left the other.',
  },
  drill: {
    title: 'A drill',
    about: [
      'Some tasks of one kind, each judged at once, with the reason. What came of it is kept for you and a lead.',
    ],
    hint: 'Answer, and read the reason before the next one.',
  },
  progress: {
    title: 'Progress',
    about: ['What one person has practised: along the stages, by cause and by drill, and what is due again.'],
    hint: 'Rings that are open are causes that you have not met yet.',
  },
  lessons: {
    title: 'Lessons',
    about: [
      'What the shop’s own work shows again and again: a finding that a family has oftener than all others, or from some reading on, and causes that are commoner here than the knowledge says.',
      'Told only where chance would make it too seldom, with every vehicle behind it.',
    ],
    hint: 'Each is an offer to a procedure, the shelf or the knowledge. A lead takes it, or sets it aside with why.',
  },
  shops: {
    title: 'Files between shops',
    about: [
      'A vehicle’s life and what a shop knows go to another shop as files that the shop signs. What comes in is looked at beside ours, stays theirs, and changes none of our figures.',
      'Whose key it is, no file can prove: a lead compares it with the shop, over a telephone number that is known.',
    ],
    hint: 'The life of a vehicle or a unit is handed on from its own page.',
  },
  arrivals: {
    title: 'What arrived',
    about: [
      'What is unpacked is scanned, and booked for the job that waits for it; below is what is still on its way.',
    ],
    hint: 'The field has the focus: just scan. Where several jobs wait it asks whose it is.',
  },
  'price-lists': {
    title: 'Price lists',
    about: ['Lists of suppliers as tables: asked when the supplier does not answer, and for what it does not have.'],
    hint: 'A new list of a supplier takes the place of the one before.',
  },
  report: {
    title: 'A month or a year',
    about: [
      'What was opened, done, charged and promised; minutes by stage against what was expected; what was used, bought, let into the air and handed over as waste.',
      'The same on one A4 page, and each table as CSV.',
    ],
    hint: 'Tap a row for the jobs behind it.',
  },
  'first-day': {
    title: 'The first day',
    about: [
      'What a shop says of itself once: who works here, what hangs on the wall, how things are done. All of it can wait, and all of it can be changed in Settings.',
    ],
    hint: 'Only your name is needed. A job can be opened straight after it.',
  },
  vehicles: {
    title: 'Vehicles',
    about: [
      'Everything that has been here, found by plate, customer, VIN or engine. A loose unit that came without its vehicle stands here too.',
    ],
    hint: 'Plate and kind are enough for a new one; the rest can wait.',
  },
  vehicle: {
    title: 'A vehicle’s file',
    about: [
      'Its jobs along the distance, the units that sit on it, its figures with their source, and what is to be looked at again.',
    ],
    hint: 'Another like this one takes over its kind and units, never its plate or numbers.',
  },
  'job-new': {
    title: 'A new job',
    about: [
      'What the customer says is weighed as evidence as it stands: symptoms, codes and what was tried are heard in it. Planned work needs no fault.',
    ],
    hint: 'Type the sentence as it was said.',
  },
  procedures: {
    title: 'Procedures',
    about: [
      'How a kind of work is done on an engine: what comes off in which order, what goes back before what, what is needed. Every version is kept.',
    ],
    hint: 'A finished job can write one by itself, from its hand-over.',
  },
  recipes: {
    title: 'Recipes',
    about: [
      'How an engine computer learns again, and how coolant is bled: by steps with their times and conditions, by itself, or not at all. Those of an engine are offered first on its jobs.',
    ],
    hint: 'Open one that came with the program and keep it with your own times: it takes its place.',
  },
  recipe: {
    title: 'A recipe',
    about: [
      'A line of steps. Each says what is done, how long it is held, what must be so for its time to count, and where it leads: on, back for another turn, to an answer, or to a bad end.',
      'It is looked at as it is typed: a step from which no end can be reached is named. A run keeps the version it began with.',
    ],
    hint: 'Tap a stop to change it; ways back run beside the line.',
  },
  procedure: {
    title: 'A procedure',
    about: [
      'The order off and back, with the reasons where the way back is not the mirror. A job keeps the version it began with.',
    ],
    hint: 'The minutes come from jobs that were worked by it.',
  },
  stock: {
    title: 'Stock',
    about: [
      'Parts, cleaners and coolant with what is left, where it lies and what others still want of it. A count is a fact; what is used on jobs is taken off by itself.',
    ],
    hint: 'Scan or type a number to find a part.',
  },
  tools: {
    title: 'Tools',
    about: ['The same arithmetic as on a job, for any bolt, mix or cleaner: nothing is recorded here.'],
    hint: 'Torque works out the setting on your own wrench.',
  },
  'torque-bench': {
    title: 'Torque',
    about: [
      'From a specification to the setting on each of your wrenches, what it then delivers, and how far the thread is from stripping.',
    ],
    hint: 'Type it as the book has it: 80 in-lb, 8–10 Nm, 9 Nm + 45°.',
  },
  jobs: {
    title: 'Jobs',
    about: ['Every job there was, open, resting, cancelled and handed over, found by any of its words.'],
    hint: 'Cancelled and resting jobs say so in their line.',
  },
  knowledge: {
    title: 'Causes and signs',
    about: [
      'What each sign says about each cause, in words of likelihood with their source. The shop’s own jobs sharpen it; every change shows what it would do to past jobs before it is kept.',
    ],
    hint: 'Change a weight and see which finished jobs would have read otherwise.',
  },
  settings: {
    title: 'Settings',
    about: [
      'What the shop says of itself: people, wrenches, tools, opening hours, prices, house rules, and where backups go. Each change keeps who made it.',
    ],
    hint: 'House rules are advice: a job can always depart from one with a reason.',
  },
  access: {
    title: 'Who is let in',
    about: [
      'Passwords and PINs of the people who work here, the stations at which they change hands, how tablets reach this server, and a record of who was let in that nobody can edit.',
    ],
    hint: 'A tablet that is lost is struck out here: whoever has it then is nobody.',
  },
  units: {
    title: 'Units',
    about: [
      'Throttle bodies and valves as objects of their own, on a vehicle, on the shelf or in the returns box, with their whole life.',
    ],
    hint: 'A unit keeps its history when it moves.',
  },
  families: {
    title: 'Engine families',
    about: ['What engines of one kind take and show: units, accepted computers, and bands that judge a measurement.'],
    hint: 'A figure without a source is a shop figure, to be verified.',
  },
  'stage-complaint': {
    title: 'Complaint',
    about: [
      'What is noticed, in the customer’s words; the codes, written down before anything is unplugged; what was done before.',
    ],
    hint: 'Each sentence moves the shares on the right: strike what was heard wrongly.',
  },
  'stage-diagnose': {
    title: 'Diagnose',
    about: [
      'Every cause is a line: it starts at how common it is, and each finding pushes it. The next check is the one that saves most for its price.',
    ],
    hint: 'Do the check on the right, and say what you found.',
  },
  'stage-decide': {
    title: 'Decide',
    about: [
      'Plans of up to three steps, ranked by what they are expected to cost for how long they last, with the price at which the order would turn.',
    ],
    hint: 'Tap a plan to see how its sum is made.',
  },
  'stage-prepare': {
    title: 'Prepare',
    about: ['What is needed against what is there, what to order today, and whether to begin now or wait.'],
    hint: 'No procedure? Work without one, or answer eight questions.',
  },
  'stage-strip': {
    title: 'Strip',
    about: [
      'Each thing that comes off becomes a tag on the string. What opens is plugged before anything else; what is counted out is counted back.',
      'What may stay connected is tied aside and comes back to its place. A step that exists only on the way back hangs beside what it belongs to.',
    ],
    hint: 'Type what came off as you would say it: flange bolts 4 M6x25, 10 mm, tray B2.',
  },
  'stage-inspect': {
    title: 'Inspect',
    about: [
      'A walk over the unit on the bench, point by point, each judged by its limit. What is found is evidence too.',
      'Where there is no gauge at hand, the eye and the hand have words of their own: noted, and never a green light.',
    ],
    hint: 'Take the picture before you clean.',
  },
  'stage-clean': {
    title: 'Clean',
    about: ['Cover, wet, soak, brush, wipe, look; until the card and the light say so. Waits run by themselves.'],
    hint: 'Weigh the can before and after: that is what was used.',
  },
  'stage-rebuild': {
    title: 'Rebuild',
    about: [
      'Seals, settings and what goes back to its own place, or the new unit against the old.',
      'A part that is renewed here goes back as the other one.',
    ],
    hint: 'A seal is renewed or reused, with why.',
  },
  'stage-refit': {
    title: 'Refit',
    about: [
      'The way back, read upward: the mirror of strip, bent where a reason bends it. The engine is held until nothing is open, in, loose or without a figure.',
    ],
    hint: 'The first tap on a tag opens it; the second puts it back.',
  },
  'stage-coolant': {
    title: 'Coolant',
    about: ['A book of what came out and went back, the mix that it comes to, the bleed, and the level hot and cold.'],
    hint: 'Say what the system holds, and the top-up is worked out.',
  },
  'stage-relearn': {
    title: 'Relearn',
    about: [
      'The engine computer learns its stops and idle air again, step by step; time counts only while the conditions hold.',
    ],
    hint: 'A run outlives a reload: its clock comes from its entries.',
  },
  'stage-prove': {
    title: 'Prove',
    about: ['The same figures as before the work, on the same lines. A green line is earned by a figure in its band.'],
    hint: 'Measure again what was measured before.',
  },
  'stage-hand-over': {
    title: 'Hand over',
    about: ['The sheet: a page for the customer, then the full record with every gap in it.'],
    hint: 'What is still open is listed with the way to it.',
  },
  'vehicle-new': {
    title: 'A new vehicle',
    about: ['Plate and kind first; all else can wait, and each can be put right later.'],
    hint: 'Electronic bodies have no idle valve unless you say so.',
  },
  'vehicle-edit': {
    title: 'Change the vehicle',
    about: ['What is changed here counts for its next jobs; a job that is open keeps what it began with.'],
    hint: 'Numbers on units belong to the units, which keep their own life.',
  },
  'recipe-new': {
    title: 'A new recipe',
    about: ['A line of steps, looked at as it is typed. It is kept on this device until it is saved.'],
    hint: 'Say what it is called, then what is done first.',
  },
  'procedure-new': {
    title: 'A new procedure',
    about: ['What comes off in its order, what opens, what goes back before what, and what is needed.'],
    hint: 'Begin with what comes off; reasons can follow.',
  },
  'procedure-edit': {
    title: 'Change a procedure',
    about: [
      'Each save is a version of its own; jobs keep theirs, and can move to the newer one with what differs in sight.',
    ],
    hint: 'Say in a few words what is new: that is what others read.',
  },
  'procedure-difference': {
    title: 'What differs',
    about: ['Two versions of a procedure, line by line.'],
    hint: 'A job can move to the newer one from its own sheet.',
  },
  'stock-item': {
    title: 'A thing in stock',
    about: ['What is left, what is wanted of it, what it is used for, and every count there was.'],
    hint: 'A count is a fact: it sets what is there, whatever was worked out.',
  },
  returns: {
    title: 'The returns box',
    about: ['Old units that go back for their deposit, each with its day.'],
    hint: 'Sent is said here, so that nobody sends it twice.',
  },
  advice: {
    title: 'What may touch what',
    about: ['Each cleaner against each surface and tool: use, with care, never, and why.'],
    hint: 'Never means damage or danger: it can still be recorded truthfully on a job.',
  },
  air: {
    title: 'Air in the bay',
    about: ['Vapour in the bay over time, from what was used and how the doors stand.'],
    hint: 'It is an estimate: follow the product’s safety sheet.',
  },
  'coolant-bench': {
    title: 'Coolant',
    about: ['A mix and its freeze point, and what brings it to the mark.'],
    hint: 'Read it with a refractometer where you can.',
  },
  unit: {
    title: 'A unit',
    about: ['A throttle body or valve with its number, what was measured of it, and where it has been.'],
    hint: 'Two of one number can differ: the variant tells them apart.',
  },
  family: {
    title: 'An engine family',
    about: ['Units, accepted computers and the bands that judge what is measured.'],
    hint: 'A band without a source is a shop figure, to be verified.',
  },
  seized: {
    title: 'Seized screws',
    about: [
      'A ladder of patience: each rung costs and risks more than the one before, with what going on is expected to take.',
    ],
    hint: 'Oil works overnight, and needs nobody.',
  },
  replace: {
    title: 'Old against new',
    about: ['The unit that goes on is held against the old one, feature by feature, before anything is bolted on.'],
    hint: 'A wrong variant sets idle codes even when it is brand new.',
  },
  tray: {
    title: 'The tray',
    about: ['What lies in which pocket; a pocket can have a name of its own.'],
    hint: 'Tap a thing, then the pocket it goes to.',
  },
};
