import { canonicalJson } from '@/core/document/canonical';
import type { Plan } from '@/core/document/schema';
import { startHistory, type History } from '@/core/edit/history';
import type { Reading } from '../editing/reading';
import type { Hands, JobState, SavingActions } from '../state';
import { draftKey, durable, readDraft, type Draft } from './draft';

const SAVE_AFTER_MS = 400;
const RETRY_MS = 3000;

/** Saving, one at a time, each built on the revision before; what a page that closes leaves behind, and what the next finds. */
export function savesOf(
  { get, set }: Hands,
  { id, reading, resurvey, changed }: { id: string; reading: Reading; resurvey: (plan: Plan) => void; changed: (history: History) => void },
) {
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** what this tab has sent, so that its own saves are not taken for somebody else's */
  const sent = new Set<string>();
  let flying: Promise<void> | null = null;

  const draftText = ({ revision, history }: Pick<JobState, 'revision' | 'history'>): string =>
    JSON.stringify({ revision, plan: history.plan, sent: [...sent].slice(-3), at: new Date().toISOString() } satisfies Draft);
  const keepDraft = () => {
    if (get().offer === null) durable.write(draftKey(id), draftText(get()));
  };

  const schedule = (after: number) => {
    if (timer) clearTimeout(timer);
    timer = setTimeout(() => void get().saveNow(), after);
  };
  /** An edit was made: it is saved in a moment, unless somebody has to choose first. */
  const edited = () => {
    const { state } = get().saving;
    if (state === 'conflict') return;
    if (state !== 'unsaved') set({ saving: { state: 'unsaved' } });
    schedule(SAVE_AFTER_MS);
  };
  const saved = (revision: number, plan: Plan) => {
    const current = get().history.plan === plan;
    if (current && get().offer === null) durable.write(draftKey(id), null);
    set({ revision, saving: { state: current ? 'saved' : 'unsaved' } });
    if (!current) schedule(SAVE_AFTER_MS);
  };

  const send = async () => {
    const { revision, history } = get();
    const { plan } = history;
    set({ saving: { state: 'saving' } });
    const text = canonicalJson(plan);
    sent.add(text);
    try {
      const response = await fetch(`/api/jobs/${id}/plan`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
        body: JSON.stringify(plan),
      });
      if (response.ok) return saved(((await response.json()) as { revision: number }).revision, plan);
      if (response.status !== 412) throw new Error(((await response.json()) as { detail?: string }).detail ?? `the server answered ${response.status}`);
      const current = await fetch(`/api/jobs/${id}/plan`, { cache: 'no-store' });
      const opened = (await reading.read()).openPlan(await current.json());
      const theirRevision = Number(/\d+/.exec(current.headers.get('etag') ?? '')?.[0]);
      if (!opened.ok) throw new Error('the newer revision cannot be read');
      // Our own save, sent while the page was closing, may be what stands there.
      const standing = canonicalJson(opened.plan);
      if (standing === text) return saved(theirRevision, plan);
      if (sent.has(standing)) {
        set({ revision: theirRevision, saving: { state: 'unsaved' } });
        return schedule(0);
      }
      set({ saving: { state: 'conflict', theirs: opened.plan, theirRevision } });
    } catch (problem) {
      set({ saving: { state: 'offline', why: (problem as Error).message } });
      keepDraft();
      schedule(RETRY_MS);
    }
  };

  const actions: SavingActions = {
    answerOffer(take) {
      const { offer, history } = get();
      set({ offer: null });
      durable.write(draftKey(id), null);
      const by = reading.now();
      if (!offer || !take || !by) return;
      const change = by.perform(history, { name: 'replacePlan', args: { plan: offer.plan } });
      if (!change.ok) return;
      // Built on an older revision it meets the newer one as any late save does: the person chooses.
      set({ revision: offer.revision });
      changed(change.history);
    },
    takeTheirs() {
      const { saving } = get();
      if (saving.state !== 'conflict') return;
      set({ history: startHistory(saving.theirs), revision: saving.theirRevision, saving: { state: 'saved' } });
      resurvey(saving.theirs);
    },
    keepMine() {
      const { saving } = get();
      if (saving.state !== 'conflict') return;
      set({ revision: saving.theirRevision, saving: { state: 'unsaved' } });
      void get().saveNow();
    },
    async saveNow() {
      // One save at a time: the next starts from the revision this one makes.
      while (flying) await flying;
      const { state } = get().saving;
      if (state === 'conflict' || state === 'saved') return;
      flying = send().finally(() => (flying = null));
      await flying;
    },
  };

  /** What an earlier visit left: a reload of this tab goes on with it, another visit is offered it. */
  const takeUp = () => {
    const { history } = get();
    const differs = (draft: Draft | null): draft is Draft => draft !== null && canonicalJson(draft.plan) !== canonicalJson(history.plan);
    const [ownText, keptText] = [sessionStorage.getItem(draftKey(id)), durable.read(draftKey(id))];
    if (ownText === null && keptText === null) return;
    reading.whenRead((by) => {
      const own = readDraft(ownText, by);
      sessionStorage.removeItem(draftKey(id));
      const kept = readDraft(keptText, by);
      if (differs(own)) {
        // A reload of this tab goes on where it was.
        durable.write(draftKey(id), null);
        for (const text of own.sent) sent.add(text);
        set({ history: startHistory(own.plan), revision: own.revision, saving: { state: 'unsaved' } });
        get().resurvey();
        void get().saveNow();
      } else if (differs(kept)) set({ offer: kept });
      else durable.write(draftKey(id), null);
    });
  };

  const leave = () => {
    const { saving, revision, history } = get();
    if (saving.state === 'saved') return;
    // The tab's own memory survives a reload, the durable one a closed tab, even when the last save does not arrive.
    const text = draftText(get());
    sessionStorage.setItem(draftKey(id), text);
    if (get().offer === null) durable.write(draftKey(id), text);
    if (saving.state === 'conflict') return;
    void fetch(`/api/jobs/${id}/plan`, {
      method: 'PUT',
      keepalive: true,
      headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
      body: JSON.stringify(history.plan),
      // Browsers take no more than 64 kB from a closing page: a larger plan stays in its draft.
    }).catch(() => undefined);
  };
  const ask = (event: BeforeUnloadEvent) => {
    const { state } = get().saving;
    if (state === 'offline' || state === 'conflict') event.preventDefault();
    // The next page is asked for now. A save that comes through before it stands there is not in it: this tab's own memory has it.
    try {
      if (state === 'saved') sessionStorage.removeItem(draftKey(id));
      else sessionStorage.setItem(draftKey(id), draftText(get()));
    } catch {
      // A tab without a memory, or with a full one, shows the page as the server gave it.
    }
  };

  /** Take up what an earlier visit left, and watch for the page to close until what comes back is called. */
  const start = (): (() => void) => {
    takeUp();
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', ask);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', ask);
    };
  };

  return { actions, start, edited };
}
