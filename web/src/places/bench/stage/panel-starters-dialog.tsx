import {
  applyPanelStarter,
  findPiece,
  PANEL_STARTERS,
  runEdit,
  type Panel,
  type PanelStarter,
  type Site,
} from '@hamaca/core';
import { useMemo } from 'react';
import { useFonts } from '../../../media/fonts.ts';
import { useStagePage } from '../../../stage/output.ts';
import { Stage } from '../../../stage/stage.tsx';
import { showStarters } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { InSight } from '../../../ui/in-sight.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { StarterCard } from './starter-card.tsx';

/** A phone that is not the smallest. */
const PHONE = { width: 390, height: 720, scale: 0.4 } as const;

/** A panel filled with this site's own links, logo and palette, standing open. */
function Drawing({
  site,
  panel,
  starter,
  onDrawn,
}: {
  readonly site: Site;
  readonly panel: Panel;
  readonly starter: PanelStarter;
  readonly onDrawn: () => void;
}) {
  const changed = useMemo(() => {
    const ran = runEdit(site, { name: 'set-design', args: applyPanelStarter(site, panel, starter) });
    return ran.ok ? ran.value.site : site;
  }, [site, panel, starter]);
  const page = useStagePage(changed, findPiece(changed, panel.id), useFonts(changed));
  const scene = changed.scenes.find((entry) => entry.kind === 'article') ?? changed.scenes[0];
  if (!page || !scene) return <span className="block h-[288px] bg-linen" />;
  const selector = page.compiled.elements.selectorOf({ owner: panel.id, slot: 'panel' });
  return (
    <span className="flex justify-center">
      <Stage
        site={changed}
        page={page}
        scene={scene}
        label={`${starter.name}, open`}
        reveal={{ panel: selector, submenu: false }}
        onPainted={onDrawn}
        {...PHONE}
      />
    </span>
  );
}

/** The starting panels, each live and open with what this site has; choosing one keeps links, words and the header's design. */
export function PanelStartersDialog({ site, panel }: { readonly site: Site; readonly panel: Panel }) {
  const edit = useEdit();
  const choose = (starter: PanelStarter) => {
    const args = applyPanelStarter(site, panel, starter);
    if (edit({ name: 'set-design', args }, `Starting panel ${starter.name}`)) showStarters(false);
  };
  return (
    <SheetDialog
      wide
      title="Starting panels, with your links, logo and colours"
      onClose={() => {
        showStarters(false);
      }}
    >
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(200px,1fr))] gap-3 p-4">
        {PANEL_STARTERS.map((starter) => (
          <li key={starter.id}>
            <StarterCard
              name={starter.name}
              about={starter.about}
              onChoose={() => {
                choose(starter);
              }}
            >
              <InSight room="h-[288px]">
                {(drawn) => <Drawing site={site} panel={panel} starter={starter} onDrawn={drawn} />}
              </InSight>
            </StarterCard>
          </li>
        ))}
      </ul>
      <p className="px-4 pb-4 text-small text-ink-faint">
        Everything the panel holds stays in it; logo and social links come along where a design shows them.
      </p>
    </SheetDialog>
  );
}
