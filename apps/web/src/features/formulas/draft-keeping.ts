import { useEffect, useRef } from 'react';
import type { FormulaDetail, FormulaVersion } from '@north-leaf/contracts';
import { editsBetween } from '@north-leaf/core';
import { ApiError } from '../../platform/http';
import { discardDraft, storeDraft } from './api';
import { useDraft } from './draft-store';
import { keepDraft, keptDraft, type KeptDraft } from './kept-draft';

const HERE_MS = 120;
const SERVER_MS = 600;
const AGAIN_MS = 2000;

/** Opens the draft of a formula: this browser's when it holds changes that never reached the server, else the server's, else the version. */
export async function openDraft(detail: FormulaDetail, saved: FormulaVersion): Promise<void> {
  const kept = await keptDraft(detail.id);
  const server = detail.draft;
  const same = kept !== undefined && kept.basedOn === saved.version;
  const base = {
    formulaId: detail.id,
    basedOn: saved.version,
    saved: saved.formula,
    undo: [],
    redo: [],
    storedAt: server?.storedAt ?? null,
  };
  if (same && kept.waiting) {
    const clash = (server?.revision ?? 0) > kept.revision;
    useDraft.getState().open({ ...base, ...kept, storing: clash ? 'clash' : 'hereOnly' });
    return;
  }
  if (server && server.basedOn === saved.version) {
    const steps = same && kept.revision === server.revision ? { undo: kept.undo, redo: kept.redo } : {};
    useDraft
      .getState()
      .open({ ...base, formula: server.formula, typed: server.typed, revision: server.revision, storing: 'stored', ...steps });
    return;
  }
  useDraft.getState().open({ ...base, formula: saved.formula, typed: {}, revision: server?.revision ?? 0, storing: 'clean' });
}

/** Keeps every change in this browser at once and on the server within a second; goes on trying while there is no answer. */
export function useDraftKeeping(formulaId: string): void {
  const change = useDraft((state) => state.change);
  const storing = useDraft((state) => state.storing);
  const opened = useDraft((state) => state.formulaId === formulaId);
  const first = useRef<number | null>(null);
  useEffect(() => {
    if (!opened) return;
    if (first.current === null) {
      first.current = change;
      if (useDraft.getState().storing !== 'hereOnly') return;
    } else if (first.current === change) return;
    const here = setTimeout(() => void keepHere(true), HERE_MS);
    const server = setTimeout(() => void keepOnServer(), SERVER_MS);
    return () => {
      clearTimeout(here);
      clearTimeout(server);
    };
  }, [change, opened]);
  useEffect(() => {
    if (storing !== 'hereOnly') return;
    const again = setInterval(() => void keepOnServer(), AGAIN_MS);
    return () => clearInterval(again);
  }, [storing]);
}

async function keepHere(waiting: boolean): Promise<void> {
  const { formulaId, basedOn, formula, typed, undo, redo, revision } = useDraft.getState();
  const kept: KeptDraft = { basedOn, formula, typed, undo, redo, revision, waiting };
  await keepDraft(formulaId, kept);
}

let sending = false;

async function keepOnServer(): Promise<void> {
  const { formulaId, basedOn, formula, typed, revision, change, storing, setStoring } = useDraft.getState();
  if (sending || storing === 'clash') return;
  sending = true;
  setStoring({ storing: storing === 'hereOnly' ? 'hereOnly' : 'storing' });
  try {
    const stored = await storeDraft(formulaId, { basedOn, formula, typed, revision });
    const now = useDraft.getState();
    if (now.formulaId !== formulaId || now.basedOn !== basedOn) return;
    setStoring({ revision: stored.revision, storedAt: stored.storedAt, storing: 'stored' });
    await keepHere(now.change !== change);
    if (now.change !== change) setTimeout(() => void keepOnServer(), 50);
  } catch (error) {
    const clash = error instanceof ApiError && error.code === 'conflict';
    setStoring({ storing: clash ? 'clash' : 'hereOnly' });
  } finally {
    sending = false;
  }
}

/** Ends a clash: this device's draft goes over the other's, or the other's is taken. */
export async function settleClash(keep: 'mine' | 'theirs', theirs: FormulaDetail['draft']): Promise<void> {
  const { formulaId, setStoring, open, ...state } = useDraft.getState();
  if (keep === 'mine' || !theirs) {
    setStoring({ revision: theirs?.revision ?? 0, storing: 'hereOnly' });
    await keepOnServer();
    return;
  }
  open({
    ...state,
    formulaId,
    formula: theirs.formula,
    typed: theirs.typed,
    revision: theirs.revision,
    undo: [],
    redo: [],
    storing: 'stored',
    storedAt: theirs.storedAt,
  });
  await keepHere(false);
}

/** Back to the saved version, as one step that can be undone. */
export async function discardChanges(): Promise<void> {
  const { formulaId, formula, saved, edit } = useDraft.getState();
  edit(`discard-${Date.now()}`, () => editsBetween(formula, saved));
  await discardDraft(formulaId).catch(() => undefined);
  useDraft.getState().setStoring({ revision: 0 });
}
