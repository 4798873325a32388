/** Kinds of cleaner and lubricant, never brands. Ids are stored: never change one. */
export const SUBSTANCES = {
  'throttle-cleaner': 'intake and throttle cleaner, sensor-safe',
  'carburettor-cleaner': 'carburettor cleaner',
  'brake-cleaner': 'brake cleaner, non-chlorinated',
  'brake-cleaner-chlorinated': 'brake cleaner, chlorinated',
  'air-mass-cleaner': 'air-mass-sensor cleaner',
  'contact-cleaner': 'contact cleaner',
  isopropyl: 'isopropyl alcohol',
  'injector-cleaner': 'injector cleaner (PEA)',
  'alkaline-detergent': 'alkaline detergent',
  'oxalic-acid-bath': 'oxalic-acid bath',
  'penetrating-oil': 'penetrating oil',
  'silicone-grease': 'silicone grease',
  'lithium-grease': 'lithium grease',
  'petroleum-jelly': 'petroleum jelly',
  'clean-oil': 'clean oil',
} as const;

/** The id of a substance. */
export type Substance = keyof typeof SUBSTANCES;

/** What a cleaner can touch. */
export const SURFACES = {
  'bare-aluminium': 'bare aluminium',
  'coated-bore': 'coated bore',
  'brass-plate': 'brass plate',
  'zinc-steel': 'zinc-plated steel',
  'anodised-aluminium': 'anodised aluminium',
  pa66: 'PA66 body',
  'shaft-bearing': 'shaft bearing and seal',
  nbr: 'NBR rubber',
  fkm: 'FKM rubber',
  epdm: 'EPDM rubber',
  'silicone-rubber': 'silicone rubber',
  'motor-gears': 'motor and gears',
  'position-sensor': 'position sensor',
  'hot-film': 'hot-film element',
  'gasket-face': 'gasket face',
} as const;

/** The id of a surface. */
export type Surface = keyof typeof SURFACES;

/** How a substance is brought onto a surface. */
export const METHODS = {
  spray: 'sprayed',
  soak: 'left to soak',
  brush: 'on a brush',
  wipe: 'wiped, nearly dry',
  bath: 'in a bath',
  smear: 'smeared thin',
  'near-heat': 'near heat, a flame or an arc',
  running: 'into the running engine',
} as const;

/** The id of a method. */
export type Method = keyof typeof METHODS;

/** Substances that are rubbed on to stay, not to clean. */
export const LUBRICANTS: readonly Substance[] = ['silicone-grease', 'lithium-grease', 'petroleum-jelly', 'clean-oil'];
