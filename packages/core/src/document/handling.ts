/** How hands shape a dough: what it is called, what its steps are, what may be found of it go by this. */
export type Handling = 'rolled' | 'laminated' | 'pressedIn' | 'patted' | 'dropped' | 'byHand' | 'piped' | 'poured' | 'spread' | 'sliced';
