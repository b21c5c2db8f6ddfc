import { findPiece, kindLabel, STARTER_TAGS, type Piece, type Site, type StarterTag } from '@hamaca/core';
import { useMemo, useState } from 'react';
import { useFonts } from '../../../media/fonts.ts';
import { familyList, knownFonts } from '../../../media/load-fonts.ts';
import { useStagePage } from '../../../stage/output.ts';
import { Stage } from '../../../stage/stage.tsx';
import { hideDesigns } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { Button } from '../../../ui/button.tsx';
import { InSight } from '../../../ui/in-sight.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import {
  DESIGNS_SHOWN,
  designsFor,
  fittedDesign,
  ringOf,
  scrolledPin,
  withDesign,
  type Design,
} from './designs.ts';
import { StarterCard } from './starter-card.tsx';

/** A design filled with this site's own links, logo and palette. */
function Drawing({
  site,
  piece,
  design,
  onDrawn,
}: {
  readonly site: Site;
  readonly piece: Piece;
  readonly design: Design;
  readonly onDrawn: () => void;
}) {
  const { pages, room, reveals, scrolled } = DESIGNS_SHOWN[piece.kind];
  const made = useMemo(() => design.make(), [design]);
  const plain = useMemo(() => withDesign(site, made), [site, made]);
  const fonts = useFonts(plain);
  const changed = useMemo(() => withDesign(site, fittedDesign(site, made, fonts)), [site, made, fonts]);
  const shown = findPiece(changed, piece.id);
  const page = useStagePage(changed, shown, fonts);
  const { scene: wanted = 'article' } = design;
  const scene = changed.scenes.find((entry) => entry.kind === wanted) ?? changed.scenes[0];
  const selected = useMemo(() => page && shown && ringOf(changed, shown, page), [changed, shown, page]);
  const pinned = useMemo(() => (scrolled && page ? scrolledPin(piece, page) : null), [scrolled, piece, page]);
  if (!page || !scene) return <span className={`block bg-linen ${room}`} />;
  const panel =
    reveals === 'panel' ? page.compiled.elements.selectorOf({ owner: piece.id, slot: 'panel' }) : null;
  return (
    <span className="flex items-start justify-center gap-1.5">
      {pages.map(({ label, cut, ...size }, index) => (
        <span key={label} className="block overflow-hidden" style={cut === undefined ? {} : { width: cut }}>
          <Stage
            site={changed}
            page={page}
            scene={scene}
            label={`${design.name}, ${label}`}
            selected={selected}
            pinned={pinned}
            outlined={false}
            {...(reveals ? { reveal: { panel, submenu: reveals === 'submenus' } } : {})}
            {...(index === 0 ? { onPainted: onDrawn } : {})}
            {...size}
          />
        </span>
      ))}
    </span>
  );
}

/** Which designs are shown, by what they have. */
function TagFilter({
  tags,
  counted,
  onChange,
}: {
  readonly tags: readonly StarterTag[];
  readonly counted: string;
  readonly onChange: (tags: readonly StarterTag[]) => void;
}) {
  return (
    <div
      className="flex flex-wrap items-center gap-1 border-b border-twine px-4 py-2"
      role="group"
      aria-label="Only designs with"
    >
      <span className="mr-1 text-small text-ink-faint">only with</span>
      {STARTER_TAGS.map((tag) => (
        <Button
          key={tag}
          className="!h-6"
          pressed={tags.includes(tag)}
          onClick={() => {
            onChange(tags.includes(tag) ? tags.filter((entry) => entry !== tag) : [...tags, tag]);
          }}
        >
          {tag}
        </Button>
      ))}
      <span className="ml-auto text-small text-ink-faint tabular">{counted}</span>
    </div>
  );
}

/** The starting designs for a piece, each live with what this site has. A piece just made may also stay as it is. */
export function DesignsDialog({
  site,
  piece,
  isNew,
}: {
  readonly site: Site;
  readonly piece: Piece;
  readonly isNew: boolean;
}) {
  const edit = useEdit();
  const [tags, setTags] = useState<readonly StarterTag[]>([]);
  const { title, room, columns, rest } = DESIGNS_SHOWN[piece.kind];
  const designs = useMemo(() => designsFor(site, piece, isNew), [site, piece, isNew]);
  const found = designs.filter((design) => tags.every((tag) => design.tags?.includes(tag)));
  const choose = (design: Design) => {
    const made = design.make();
    const fitted = fittedDesign(site, made, knownFonts(familyList(withDesign(site, made))));
    if (edit({ name: 'set-design', args: fitted }, `${title}: ${design.name}`)) hideDesigns();
  };
  return (
    <SheetDialog wide title={`${title}, with your links, logo and colours`} onClose={hideDesigns}>
      {isNew && (
        <div className="flex items-center gap-3 border-b border-twine px-4 py-2 text-bench">
          <span>
            {piece.name} is there. Choose what it starts as: a design, or the plain{' '}
            {kindLabel(piece.kind).toLowerCase()} it is now.
          </span>
          <Button className="ml-auto shrink-0" onClick={hideDesigns}>
            Leave it plain
          </Button>
        </div>
      )}
      {designs.some((design) => design.tags) && (
        <TagFilter tags={tags} counted={`${found.length} of ${designs.length}`} onChange={setTags} />
      )}
      <ul className={`grid gap-3 p-4 ${columns}`}>
        {found.map((design) => (
          <li key={design.id}>
            <StarterCard
              name={design.name}
              about={design.about}
              onChoose={() => {
                choose(design);
              }}
            >
              <InSight room={room}>
                {(drawn) => <Drawing site={site} piece={piece} design={design} onDrawn={drawn} />}
              </InSight>
            </StarterCard>
          </li>
        ))}
      </ul>
      {found.length === 0 && (
        <p className="px-4 pb-4 text-bench text-ink-soft">
          No design has all of that. Take one of the conditions away.
        </p>
      )}
      <p className="px-4 pb-4 text-small text-ink-faint">
        {isNew ? 'Links, logo and profiles are those of the site.' : rest}
      </p>
    </SheetDialog>
  );
}
