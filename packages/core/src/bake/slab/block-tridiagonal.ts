/**
 * 2 x 2 block tridiagonal matrix M - g J, factored once and solved twice a step.
 * Rows from `first` on: what lies on the piece (heat only), cells (heat, water) and last the tray (heat only). Blocks are four arrays each.
 */
export class BlockTridiagonal {
  readonly d11: Float64Array;
  readonly d12: Float64Array;
  readonly d21: Float64Array;
  readonly d22: Float64Array;
  readonly u11: Float64Array;
  readonly u12: Float64Array;
  readonly u21: Float64Array;
  readonly u22: Float64Array;
  readonly l11: Float64Array;
  readonly l12: Float64Array;
  readonly l21: Float64Array;
  readonly l22: Float64Array;

  constructor(size: number) {
    const a = () => new Float64Array(size);
    this.d11 = a();
    this.d12 = a();
    this.d21 = a();
    this.d22 = a();
    this.u11 = a();
    this.u12 = a();
    this.u21 = a();
    this.u22 = a();
    this.l11 = a();
    this.l12 = a();
    this.l21 = a();
    this.l22 = a();
  }

  /** Clears the Jacobian's diagonal; the off-diagonals are set whole by the faces. */
  clear(size: number): void {
    for (let i = 0; i < size; i++) {
      this.d11[i] = 0;
      this.d12[i] = 0;
      this.d21[i] = 0;
      this.d22[i] = 0;
    }
  }

  /** Overwrites the Jacobian J held in the blocks by the factors of diag(mass) - g J. */
  factor(mass: Float64Array, size: number, g: number, first = 0): void {
    const { d11, d12, d21, d22, u11, u12, u21, u22, l11, l12, l21, l22 } = this;
    for (let i = first; i < size; i++) {
      let a = mass[i]! - g * d11[i]!;
      let b = -g * d12[i]!;
      let c = -g * d21[i]!;
      let d = mass[i]! - g * d22[i]!;
      if (i > first) {
        const m11 = -g * l11[i]!,
          m12 = -g * l12[i]!,
          m21 = -g * l21[i]!,
          m22 = -g * l22[i]!;
        const v11 = u11[i - 1]!,
          v12 = u12[i - 1]!,
          v21 = u21[i - 1]!,
          v22 = u22[i - 1]!;
        a -= m11 * v11 + m12 * v21;
        b -= m11 * v12 + m12 * v22;
        c -= m21 * v11 + m22 * v21;
        d -= m21 * v12 + m22 * v22;
        l11[i] = m11;
        l12[i] = m12;
        l21[i] = m21;
        l22[i] = m22;
      }
      const inverse = 1 / (a * d - b * c);
      const i11 = d * inverse,
        i12 = -b * inverse,
        i21 = -c * inverse,
        i22 = a * inverse;
      d11[i] = i11;
      d12[i] = i12;
      d21[i] = i21;
      d22[i] = i22;
      if (i < size - 1) {
        const w11 = -g * u11[i]!,
          w12 = -g * u12[i]!,
          w21 = -g * u21[i]!,
          w22 = -g * u22[i]!;
        u11[i] = i11 * w11 + i12 * w21;
        u12[i] = i11 * w12 + i12 * w22;
        u21[i] = i21 * w11 + i22 * w21;
        u22[i] = i21 * w12 + i22 * w22;
      }
    }
  }

  /** Solves for heat and water with the factors of the last `factor`. */
  solve(heat: Float64Array, water: Float64Array, outHeat: Float64Array, outWater: Float64Array, size: number, first = 0): void {
    const { d11, d12, d21, d22, u11, u12, u21, u22, l11, l12, l21, l22 } = this;
    for (let i = first; i < size; i++) {
      let a = heat[i]!;
      let b = water[i]!;
      if (i > first) {
        const h = outHeat[i - 1]!,
          x = outWater[i - 1]!;
        a -= l11[i]! * h + l12[i]! * x;
        b -= l21[i]! * h + l22[i]! * x;
      }
      outHeat[i] = d11[i]! * a + d12[i]! * b;
      outWater[i] = d21[i]! * a + d22[i]! * b;
    }
    for (let i = size - 2; i >= first; i--) {
      const h = outHeat[i + 1]!,
        x = outWater[i + 1]!;
      outHeat[i] = outHeat[i]! - (u11[i]! * h + u12[i]! * x);
      outWater[i] = outWater[i]! - (u21[i]! * h + u22[i]! * x);
    }
  }
}
