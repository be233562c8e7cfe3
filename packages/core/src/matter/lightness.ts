/** Absorption over scattering of an endless layer that has this lightness (Kubelka & Munk 1931), and the lightness of such a layer. */
export const absorptionOf = (l: number): number => {
  const y = ((l + 16) / 116) ** 3;
  return (1 - y) ** 2 / (2 * y);
};
export const lightnessOfAbsorption = (ks: number): number => 116 * Math.cbrt(1 + ks - Math.sqrt(ks * ks + 2 * ks)) - 16;
