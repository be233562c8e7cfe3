/** A formula's meaning changes only with this number; every stored version keeps the one it was worked out with. */
export const coreVersion = '1.16.0';
