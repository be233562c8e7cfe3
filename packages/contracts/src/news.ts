/** What a browser is told as it happens: what was stored, or that the stream is alive. */
export type News =
  | { readonly what: 'bake' | 'formula'; readonly id: string }
  | { readonly what: 'kitchen' | 'pantry' }
  /** Another kitchen stands open from now on. */
  | { readonly what: 'otherKitchen' }
  | { readonly what: 'beat' };
