import { applyCheckedPatch, touchesSame, type JsonPatch, type Problem, type Site } from '@hamaca/core';
import { loadStored } from '../stored-site.ts';
import { readPatchText, type PatchRead } from './read-patch.ts';

/** An edit as it is laid on a site: made on a revision, its patch as text, and read where that was done already. */
export interface EditToLay {
  readonly expected: number;
  readonly text: string;
  readonly patch: JsonPatch | null;
}

/** What became of one: the way back, or why it is refused. */
export type LaidEdit =
  | { readonly kind: 'laid'; readonly revision: number; readonly patch: string; readonly inverse: string }
  | { readonly kind: 'stale'; readonly revision: number }
  | { readonly kind: 'invalid'; readonly problems: readonly Problem[] }
  | { readonly kind: 'unread'; readonly read: Exclude<PatchRead, { kind: 'patch' }> };

/** Patches made since, by the revision they led to, as text. */
export type PatchesSince = ReadonlyMap<number, string>;

/** The site while edits are being laid on it, and what was changed on it lately. */
class Ground {
  site: Site;
  revision: number;
  private readonly patches: Map<number, JsonPatch | string>;

  constructor(site: Site, revision: number, patches: PatchesSince) {
    this.site = site;
    this.revision = revision;
    this.patches = new Map(patches);
  }

  private patchAt(revision: number): JsonPatch | null {
    const patch = this.patches.get(revision);
    if (typeof patch !== 'string') return patch ?? null;
    const read = JSON.parse(patch) as JsonPatch;
    this.patches.set(revision, read);
    return read;
  }

  /** The changes between the revision an edit was made on and now; null where not all are at hand. */
  private between(expected: number): JsonPatch[] | null {
    const found: JsonPatch[] = [];
    for (let revision = expected + 1; revision <= this.revision; revision++) {
      const patch = this.patchAt(revision);
      if (!patch) return null;
      found.push(patch);
    }
    return found;
  }

  /** Lays one edit: checked as a whole, and only where nothing it touches has changed since it was made. */
  lay({ expected, text, patch: known }: EditToLay): LaidEdit {
    const read: PatchRead = known ? { kind: 'patch', patch: known } : readPatchText(text);
    if (read.kind !== 'patch') return { kind: 'unread', read };
    const { patch } = read;
    const stale = { kind: 'stale', revision: this.revision } as const;
    const since = expected <= this.revision ? this.between(expected) : null;
    if (!since || since.some((other) => touchesSame(patch, other))) return stale;
    const edited = applyCheckedPatch(this.site, patch);
    // What fits no more only because of what came between is its sender's to make again.
    if (!edited.ok) return since.length > 0 ? stale : { kind: 'invalid', problems: edited.error };
    this.site = edited.value.site;
    this.revision++;
    this.patches.set(this.revision, patch);
    return {
      kind: 'laid',
      revision: this.revision,
      patch: JSON.stringify(patch),
      inverse: JSON.stringify(edited.value.inverse),
    };
  }
}

/** What edits led to, and what became of each. */
export interface LaidEdits {
  readonly site: Site;
  readonly revision: number;
  readonly laid: readonly LaidEdit[];
}

/** Lays edits on a site one after the other. One that is refused leaves the others as they are. */
export function layEdits(
  { site, revision }: { readonly site: Site; readonly revision: number },
  patches: PatchesSince,
  edits: readonly EditToLay[],
): LaidEdits {
  const ground = new Ground(site, revision, patches);
  const laid = edits.map((edit) => ground.lay(edit));
  return { site: ground.site, revision: ground.revision, laid };
}

/** The same for a thread: all it needs as text, and what it came to likewise. */
export interface HeavyEdits {
  readonly document: string;
  readonly revision: number;
  readonly patches: PatchesSince;
  readonly edits: readonly EditToLay[];
}

export interface HeavyAnswer {
  readonly name: string;
  readonly document: string;
  readonly revision: number;
  readonly laid: readonly LaidEdit[];
}

export function layHeavyEdits({ document, revision, patches, edits }: HeavyEdits): HeavyAnswer {
  const { site, ...answer } = layEdits({ site: loadStored(document), revision }, patches, edits);
  return { ...answer, name: site.name, document: JSON.stringify(site) };
}
