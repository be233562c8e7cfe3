/** What a browser is told as it happens: something of a bake was stored, or that the stream is alive. */
export type News = { readonly what: 'bake'; readonly id: string } | { readonly what: 'beat' };
