import {
  applyStarter,
  findPiece,
  runEdit,
  STARTER_TAGS,
  STARTERS,
  type Header,
  type Site,
  type Starter,
  type StarterTag,
} from '@hamaca/core';
import { useMemo, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { InSight } from '../../../ui/in-sight.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { Stage } from '../../../stage/stage.tsx';
import { useStagePage } from '../../../stage/output.ts';
import { useFonts } from '../../../media/fonts.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { showStarters } from '../../../store/bench-store.ts';
import { StarterCard } from './starter-card.tsx';

const WIDE = { width: 1240, scale: 0.305, height: 250 } as const;
const NARROW = { width: 380, scale: 0.225, height: 339 } as const;

/** A design filled with this site's own links, logo and palette, wide and narrow. */
function Drawing({
  site,
  header,
  starter,
  onDrawn,
}: {
  readonly site: Site;
  readonly header: Header;
  readonly starter: Starter;
  readonly onDrawn: () => void;
}) {
  const changed = useMemo(() => {
    const ran = runEdit(site, { name: 'set-design', args: applyStarter(site, header, starter) });
    return ran.ok ? ran.value.site : site;
  }, [site, header, starter]);
  const page = useStagePage(changed, findPiece(changed, header.id), useFonts(changed));
  const scene =
    changed.scenes.find((entry) => entry.kind === (starter.over ? 'picture' : 'article')) ??
    changed.scenes[0];
  if (!page || !scene) return <span className="block h-[76px] bg-linen" />;
  return (
    <span className="flex items-start gap-1.5">
      <Stage
        site={changed}
        page={page}
        scene={scene}
        label={`${starter.name}, wide`}
        onPainted={onDrawn}
        {...WIDE}
      />
      <Stage site={changed} page={page} scene={scene} label={`${starter.name}, narrow`} {...NARROW} />
    </span>
  );
}

/** The starting designs, each live with what this site has; choosing one keeps links, words and colours. */
export function StartersDialog({ site, header }: { readonly site: Site; readonly header: Header }) {
  const edit = useEdit();
  const [tags, setTags] = useState<readonly StarterTag[]>([]);
  const found = STARTERS.filter((starter) => tags.every((tag) => starter.tags.includes(tag)));
  const choose = (starter: Starter) => {
    if (
      edit(
        { name: 'set-design', args: applyStarter(site, header, starter) },
        `Starting design ${starter.name}`,
      )
    )
      showStarters(false);
  };
  return (
    <SheetDialog
      wide
      title="Starting designs, with your links, logo and colours"
      onClose={() => {
        showStarters(false);
      }}
    >
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
              setTags(tags.includes(tag) ? tags.filter((entry) => entry !== tag) : [...tags, tag]);
            }}
          >
            {tag}
          </Button>
        ))}
        <span className="ml-auto text-small text-ink-faint tabular">
          {found.length} of {STARTERS.length}
        </span>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(460px,1fr))] gap-3 p-4">
        {found.map((starter) => (
          <li key={starter.id}>
            <StarterCard
              name={starter.name}
              about={starter.about}
              onChoose={() => {
                choose(starter);
              }}
            >
              <InSight room="h-[76px]">
                {(drawn) => <Drawing site={site} header={header} starter={starter} onDrawn={drawn} />}
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
        What a design has no place for goes; Undo brings it back.
      </p>
    </SheetDialog>
  );
}
