export { caseOfVehicle, comesOut, isModelled } from './case.ts';
export { FAULTS } from './faults.ts';
export { type Idling, idling } from './idling.ts';
export { type PracticeVehicle, practiceVehicle, VALVED } from './vehicle.ts';
export { ENGINE_OF, SOUND_WORLD, type World } from './world.ts';
export { caseOfScenario, type Scenario, scenarioProblem, type ScenarioProblem, seedOf, vehicleOf } from './scenario.ts';
export { SCENARIOS } from './scenarios.ts';
export { act, type Work } from './act.ts';
export { look, LOOKS, type Met } from './look.ts';
