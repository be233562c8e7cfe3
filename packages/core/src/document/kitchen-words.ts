export const placeKindWords = {
  fridge: 'fridge',
  freezer: 'freezer',
  bench: 'table',
  marble: 'marble slab',
  rack: 'cooling rack',
} as const;
export type PlaceKind = keyof typeof placeKindWords;
export const trayMaterialWords = {
  aluminium: 'bright aluminium',
  darkSteel: 'dark steel',
  stone: 'baking stone, heated with the oven',
  glass: 'glass',
  ceramic: 'ceramic',
  metalPan: 'metal pan with sides',
} as const;
export type TrayMaterial = keyof typeof trayMaterialWords;
/** How an oven heats, as bakers say it. */
export const ovenKindWords = { static: 'still air', fan: 'fan', deck: 'deck' } as const;
export const dialUnitWords = { C: '°C', F: '°F', gas: 'gas marks' } as const;
export const ovenShelves = ['high', 'middle', 'low'] as const;
export const ovenSides = ['backLeft', 'back', 'backRight', 'left', 'centre', 'right', 'doorLeft', 'door', 'doorRight'] as const;
export const panKindWords = {
  plate: 'round, with sloped sides',
  ring: 'round, straight sides',
  rectangle: 'rectangle',
  oval: 'oval',
} as const;
export const cutterKindWords = { round: 'round', hexagon: 'hexagon', heart: 'heart', rectangle: 'square or rectangle' } as const;
