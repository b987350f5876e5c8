import type { NewCheck } from '#server/skills/checks'

type Line = readonly [difficulty: 1 | 2 | 3, text: string, right: string, ...wrong: [string, string, string]]

const byTopic: Record<string, readonly Line[]> = {
  'Plan and isolate': [
    [1, 'What comes before any isolation begins?', 'Identify every source of energy that feeds the work', 'Put on arc-rated gloves', 'Tell the station lead by radio', 'Fit your personal lock'],
    [2, 'A drive has a main supply, a brake hydraulic unit and a counterweight. Which of them have to be isolated for work on the gearbox?', 'All three, since each can move or energise it', 'The main supply only', 'The main supply and the hydraulic unit', 'Whichever the work order names first'],
    [1, 'Which device may serve as the point of isolation?', 'A disconnector with a visible or proven contact gap', 'An emergency stop button', 'A contactor in the control circuit', 'A software stop on the operator panel'],
    [2, 'The drawing and the labels in the cabinet do not agree. What do you do?', 'Stop, trace the circuit, and have the drawing corrected before isolating', 'Trust the labels, they are nearer', 'Trust the drawing, it is signed', 'Isolate both and begin'],
    [3, 'The standby generator starts by itself when the mains fail. How is it treated?', 'As a further source: blocked, isolated and locked before work', 'It is left, since it feeds the station only', 'Its fuel is shut off, which is enough', 'A note is left on its panel'],
    [2, 'Who decides which points are to be isolated for a piece of work?', 'The person authorised for that installation, in the written plan', 'Whoever arrives first', 'The longest-serving technician present', 'The supplier of the spare part'],
  ],
  'Lock and tag': [
    [1, 'Five people work on one isolated drive. How many locks hang at the hasp?', 'At least five, one of each person', 'One, of the supervisor', 'Two, of supervisor and dispatcher', 'None if the room is locked'],
    [1, 'Who may remove your personal lock?', 'You, and nobody else, outside of the written procedure for absence', 'The shift lead at the end of the shift', 'Any authorised electrician', 'The control room'],
    [2, 'A colleague went home and left the lock on. What comes first?', 'Reach the colleague and make sure they are not on the installation', 'Cut the lock, the work order is closed', 'Use the spare key in the office', 'Energise by another feeder'],
    [2, 'What has to stand on a tag?', 'Who locked, when, why, and how to reach them', 'The number of the work order only', 'The voltage', 'The name of the supervisor only'],
    [3, 'With a group lock box, when may the box be opened?', 'When the last person has taken their own lock off it', 'When the supervisor has counted heads', 'When the work order says so', 'When the control room calls'],
    [1, 'Is a tag without a lock an isolation?', 'No: it informs, and it holds nothing', 'Yes, for work of under an hour', 'Yes, if two people signed it', 'Yes, below 1,000 volts'],
  ],
  'Prove dead': [
    [1, 'In which order is a voltage tester used?', 'Test the tester, test the circuit, test the tester again', 'Test the circuit, then the tester', 'Test the circuit twice', 'Test the tester at the start of the shift'],
    [2, 'Between which conductors is a three-phase circuit proven dead?', 'Every phase to every other, to neutral and to earth', 'Each phase to earth', 'Any two phases', 'Phase one to neutral'],
    [2, 'Where is the circuit proven dead?', 'At the place of work, on the conductors that will be touched', 'At the point of isolation', 'At the nearest test socket', 'In the control room'],
    [3, 'A tester shows 80 volts on an isolated 20 kV cable. What does it most likely mean, and what follows?', 'Induced or stored charge: it counts as live until earthed', 'The tester is faulty, go on', 'It is below the limit, go on', 'The neighbouring cable has to be shut down at once'],
    [1, 'Which instrument may not be used to prove dead?', 'A contactless tester pen', 'A two-pole voltage tester of category IV', 'A high-voltage tester for the rated voltage', 'A tester with self-test that was checked today'],
    [3, 'The frequency converter has been off for one minute. Why is its DC link not touched yet?', 'Its capacitors keep a charge for as long as the plate says, and have to be measured', 'Its fans are still running', 'It may restart by timer', 'Its heat sink is hot'],
  ],
  'Earth and work': [
    [1, 'In which order are the clamps of a portable earth connected?', 'First to earth, then to the conductors', 'First to the conductors, then to earth', 'In any order, quickly', 'Both ends at the same time'],
    [2, 'Why is a high-voltage circuit earthed on both sides of the work?', 'So that energy from either side is led away before it reaches people', 'To spare the circuit breaker', 'To let the cable cool', 'Because the tester needs it'],
    [2, 'What decides the cross-section of a portable earth?', 'The fault current and the time it can flow', 'The weight that can be carried', 'The diameter of the cable', 'The length of the lead'],
    [3, 'Work moves to the next tower, 300 metres on. What about the earths?', 'Dead is proven and earths are fitted at the new place as well', 'The earths at the first tower do', 'One extra earth halfway does', 'None are needed on the same line'],
    [1, 'A live part stays within reach of the work. What is needed?', 'A barrier or cover rated for the voltage, and a warning', 'A colleague who watches', 'A chalk mark', 'Nothing, if everyone is told'],
    [2, 'Lightning is reported 12 km away during work on a line. What follows?', 'Work on the line stops and people come down, whatever the earths', 'Work goes on, the line is earthed', 'Only work above the second tower stops', 'Work goes on until 2 km'],
  ],
  'Give back': [
    [1, 'What comes first when work is finished?', 'Tools and people are counted out of the installation', 'The locks come off', 'The earths come off', 'The control room is told to energise'],
    [2, 'In which order is an isolation undone?', 'People and tools out, earths off, locks off by each owner, then energised', 'Locks off, earths off, people out, energised', 'Earths off, energised, locks off', 'Locks off, energised, earths off'],
    [2, 'Who may order that the supply be restored?', 'The person in charge of the work, after each person has signed off', 'The dispatcher, by the timetable', 'Whoever is at the switch', 'The supplier'],
    [3, 'Ten minutes after restoring, a technician finds a torch missing inside the cabinet. What follows?', 'The whole isolation again, from the beginning', 'A quick look with the power on', 'Reach in with insulated gloves', 'It stays until the next service'],
    [1, 'An earth was forgotten and the circuit is energised. What happens?', 'A short circuit: protection trips, and people and equipment are in danger', 'Nothing, the earth is harmless', 'The voltage drops a little', 'The tester sounds'],
    [3, 'Work is interrupted overnight. What is needed before going on in the morning?', 'Isolation, locks and earths are checked and dead is proven again', 'Nothing, the locks stayed on', 'A call to the night shift', 'Only the tags are dated anew'],
  ],
}

/** Which option stands where is shuffled when a paper is drawn; here the right one always comes first. */
export const isolationCheck: NewCheck = {
  key: 'isolation',
  title: 'Isolation and lock-off',
  minutes: 15,
  passPercent: 80,
  blueprint: Object.keys(byTopic).map((topic) => ({ topic, count: 2 })),
  bank: Object.entries(byTopic).flatMap(([topic, lines]) =>
    lines.map(([difficulty, text, ...options]) => ({ topic, difficulty, text, options: options.map((option, index) => ({ id: 'abcd'[index]!, text: option, right: index === 0 })) })),
  ),
}
