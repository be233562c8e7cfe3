import { useEffect } from 'react';
import type { Draft, FormulaDetail, FormulaVersion } from '@north-leaf/contracts';
import { editsBetween, type Edit, type Formula } from '@north-leaf/core';
import { ApiError } from '../../platform/http';
import { storeDraft } from './api';
import { useDraft } from './draft-store';
import { keepDraft, keptDraft, type KeptDraft } from './kept-draft';

const HERE_MS = 120;
const SERVER_MS = 600;
const AGAIN_MS = 2000;
/** A save does not wait longer than this for the draft before it: the server knows the draft it saves by what is in it. */
const HEARD_MS = 3000;

let hereTimer: ReturnType<typeof setTimeout> | undefined;
let serverTimer: ReturnType<typeof setTimeout> | undefined;
/** What is on its way to the server, until its answer has been heard. */
let sending: Promise<void> | null = null;
/** Something newer than what is on its way waits to follow it. */
let wanted = false;
/** While a version is being saved: a draft that arrived after it would outlive it. */
let held = false;

/** Opens the draft of a formula: this browser's when it knows more than the server's answer, else the server's, else the version. */
export async function openDraft(detail: FormulaDetail, saved: FormulaVersion): Promise<void> {
  const kept = await keptDraft(detail.id);
  const server = detail.draft;
  const { open } = useDraft.getState();
  held = false;
  const base = {
    formulaId: detail.id,
    basedOn: saved.version,
    saved: saved.formula,
    undo: [],
    redo: [],
    storedAt: server?.storedAt ?? null,
  };
  const own = kept !== undefined && kept.basedOn === saved.version ? kept : undefined;
  const serverRevision = server?.revision ?? 0;
  // Stored, and the page was left before it heard so: the same words are no second draft.
  if (own?.waiting && server?.basedOn === own.basedOn && isSame(own, server)) {
    open({ ...base, ...draftOf(own), revision: serverRevision, storing: 'stored' });
    return;
  }
  if (own?.waiting) {
    open({ ...base, ...draftOf(own), storing: serverRevision > own.revision ? 'clash' : 'hereOnly' });
    return;
  }
  // An answer from the cache may be older than what this browser has stored since, even know of no draft: only a save takes one away.
  if (own && own.revision > 0 && own.revision >= serverRevision) {
    open({ ...base, ...draftOf(own), storing: 'stored' });
    return;
  }
  if (server && server.basedOn === saved.version) {
    open({ ...base, formula: server.formula, typed: server.typed, revision: serverRevision, storing: 'stored' });
    return;
  }
  open({ ...base, formula: saved.formula, typed: {}, revision: serverRevision, storing: 'clean' });
}

const isSame = (own: Pick<KeptDraft, 'formula' | 'typed'>, server: Draft): boolean =>
  editsBetween(own.formula, server.formula).length === 0 && editsBetween(own.typed, server.typed).length === 0;

const draftOf = ({ formula, typed, undo, redo, revision }: KeptDraft) => ({ formula, typed, undo, redo, revision });

/** Keeps every change in this browser at once and on the server within a second; goes on trying while there is no answer. */
export function useDraftKeeping(formulaId: string): void {
  const storing = useDraft((state) => state.storing);
  useEffect(() => {
    const stop = useDraft.subscribe((now, before) => {
      // A draft that was only opened brings its own formula: nothing has been typed.
      const edited = now.formula !== before.formula || now.typed !== before.typed;
      if (now.formulaId !== formulaId || before.formulaId !== formulaId || !edited || now.saved !== before.saved) return;
      clearTimeout(hereTimer);
      clearTimeout(serverTimer);
      hereTimer = setTimeout(() => void keepHere(true), HERE_MS);
      serverTimer = setTimeout(() => void keepOnServer(), SERVER_MS);
    });
    const leave = () => void flushDraft();
    window.addEventListener('pagehide', leave);
    return () => {
      stop();
      window.removeEventListener('pagehide', leave);
      void flushDraft();
    };
  }, [formulaId]);
  useEffect(() => {
    if (storing !== 'hereOnly') return;
    const again = setInterval(() => void keepOnServer(), AGAIN_MS);
    return () => clearInterval(again);
  }, [storing]);
}

/** Changes a formula's draft from another page, as one step that can be undone there: kept here, then on the server. */
export async function keepChange(
  detail: FormulaDetail,
  saved: FormulaVersion,
  step: string,
  edits: (formula: Formula) => readonly Edit[],
): Promise<void> {
  await openDraft(detail, saved);
  useDraft.getState().edit(step, edits);
  await keepHere(true);
  await keepOnServer();
}

/** Sends what is still waiting for its moment, now. */
export async function flushDraft(): Promise<void> {
  const waiting = hereTimer !== undefined || serverTimer !== undefined;
  clearTimers();
  if (waiting) await Promise.all([keepHere(true), keepOnServer()]);
}

/**
 * Before a version is saved: sends what waits and hears what is on its way, then keeps the draft still until the next one is opened
 * or the save has failed. A save that named an older revision than the server's would leave the draft behind as another device's.
 */
export async function holdDraft(): Promise<void> {
  const heard = flushDraft().then(() => sending);
  await Promise.race([heard, new Promise((late) => setTimeout(late, HEARD_MS))]);
  held = true;
}
export const releaseDraft = (): void => {
  held = false;
};

function clearTimers(): void {
  clearTimeout(hereTimer);
  clearTimeout(serverTimer);
  hereTimer = undefined;
  serverTimer = undefined;
}

async function keepHere(waiting: boolean): Promise<void> {
  const { formulaId, basedOn, formula, typed, undo, redo, revision } = useDraft.getState();
  hereTimer = undefined;
  await keepDraft(formulaId, { basedOn, formula, typed, undo, redo, revision, waiting });
}

function keepOnServer(): Promise<void> {
  serverTimer = undefined;
  wanted = true;
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendAll(): Promise<void> {
  while (wanted) {
    wanted = false;
    await sendOnce();
  }
}

async function sendOnce(): Promise<void> {
  const { formulaId, basedOn, formula, typed, revision, change, storing, setStoring } = useDraft.getState();
  if (held || storing === 'clash') return;
  if (storing !== 'hereOnly') setStoring({ storing: 'storing' });
  const isOpen = () => useDraft.getState().formulaId === formulaId && useDraft.getState().basedOn === basedOn;
  try {
    const stored = await storeDraft(formulaId, { basedOn, formula, typed, revision });
    if (!isOpen()) return;
    const again = useDraft.getState().change !== change;
    if (again) wanted = true;
    setStoring({ revision: stored.revision, storedAt: stored.storedAt, storing: 'stored' });
    await keepHere(again);
  } catch (error) {
    const clash = error instanceof ApiError && error.code === 'conflict';
    if (isOpen()) setStoring({ storing: clash ? 'clash' : 'hereOnly' });
  }
}

/** Ends a clash: this device's draft goes over the other's, or the other's is taken. */
export async function settleClash(keep: 'mine' | 'theirs', theirs: FormulaDetail['draft']): Promise<void> {
  const { formulaId, basedOn, saved, setStoring, open } = useDraft.getState();
  if (keep === 'mine' || !theirs) {
    setStoring({ revision: theirs?.revision ?? 0, storing: 'hereOnly' });
    await keepOnServer();
    return;
  }
  const { formula, typed, revision, storedAt } = theirs;
  open({ formulaId, basedOn, saved, formula, typed, revision, undo: [], redo: [], storing: 'stored', storedAt });
  await keepHere(false);
}

/** Back to the saved version, as one step that can be undone. */
export async function discardChanges(): Promise<void> {
  const { formula, saved, edit } = useDraft.getState();
  edit(`discard-${Date.now()}`, () => editsBetween(formula, saved));
  await flushDraft();
}
