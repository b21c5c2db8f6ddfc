import type { Site } from '@hamaca/core';
import { useEffect, useState } from 'react';
import useSWR from 'swr';
import { canBeDrawn, drawPage, withFontData, type DrawnPage } from '../../media/page-picture.ts';
import { useFonts } from '../../media/fonts.ts';
import { firstPiece, useStagePage } from '../../stage/output.ts';
import { Stage } from '../../stage/stage.tsx';
import { fetchSite, type SiteSummary } from '../../store/api.ts';
import { keepPicture, keptPicture } from '../../store/pictures.ts';

const WIDE = { width: 1180, height: 250, scale: 0.5 } as const;
const NARROW = { width: 375, height: 480, scale: 0.26 } as const;

/** The views a card shows, with the names their pictures are kept under. */
const VIEWS = { wide: WIDE, narrow: NARROW } as const;
type View = keyof typeof VIEWS;

const HOLDER = 'flex items-end gap-4 bg-surround p-4';

/** Makes a still picture of what a frame shows, for the next time; a page that fetches something stays live. */
async function keep(site: SiteSummary, view: View, page: DrawnPage): Promise<void> {
  const held = { ...page, css: await withFontData(page.css) };
  const picture = canBeDrawn(held) ? await drawPage(held, VIEWS[view].scale) : null;
  if (picture) await keepPicture(site.id, site.revision, view, picture);
}

function Live({ summary, site, onDrawn }: { summary: SiteSummary; site: Site; onDrawn: () => void }) {
  const page = useStagePage(site, firstPiece(site), useFonts(site));
  const scene = site.scenes.find((entry) => entry.kind === 'article') ?? site.scenes[0];
  if (!page || !scene) return null;
  const keepView = (view: View) => (drawn: DrawnPage) => {
    // Without it the next visit draws it live again.
    keep(summary, view, drawn).catch(() => undefined);
  };
  return (
    <div className={HOLDER} aria-hidden="true">
      <Stage
        site={site}
        page={page}
        scene={scene}
        label="Miniature, wide"
        {...WIDE}
        onPainted={onDrawn}
        onDrawn={keepView('wide')}
      />
      <Stage
        site={site}
        page={page}
        scene={scene}
        label="Miniature, narrow"
        {...NARROW}
        onDrawn={keepView('narrow')}
      />
    </div>
  );
}

/** The site drawn from its document, where no picture of this revision is kept. */
function LiveMiniature({ summary, onDrawn }: { summary: SiteSummary; onDrawn: () => void }) {
  const { data } = useSWR(['site', summary.id], () => fetchSite(summary.id), { revalidateOnFocus: true });
  const fonts = useFonts(data?.site ?? null);
  const piece = data ? firstPiece(data.site) : null;
  return data && fonts && piece ? (
    <Live summary={{ ...summary, revision: data.revision }} site={data.site} onDrawn={onDrawn} />
  ) : (
    <div className="h-[125px] bg-linen" />
  );
}

function Still({ picture, view, onDrawn }: { picture: Blob; view: View; onDrawn?: () => void }) {
  const [url, setUrl] = useState('');
  useEffect(() => {
    const made = URL.createObjectURL(picture);
    setUrl(made);
    return () => {
      URL.revokeObjectURL(made);
    };
  }, [picture]);
  const { width, height, scale } = VIEWS[view];
  return url === '' ? null : (
    <img
      src={url}
      alt=""
      width={width * scale}
      height={height * scale}
      className="block bg-white"
      onLoad={onDrawn}
      data-still={view}
    />
  );
}

/** A site in small, wide and narrow: a still picture of its revision where one is kept, else drawn. */
export function Miniature({ summary, onDrawn }: { summary: SiteSummary; onDrawn: () => void }) {
  const { id, revision } = summary;
  const [pictures, setPictures] = useState<readonly [Blob, Blob] | 'none' | null>(null);
  useEffect(() => {
    let isWanted = true;
    void Promise.all([keptPicture(id, revision, 'wide'), keptPicture(id, revision, 'narrow')]).then(
      ([wide, narrow]) => {
        if (isWanted) setPictures(wide && narrow ? [wide, narrow] : 'none');
      },
    );
    return () => {
      isWanted = false;
    };
  }, [id, revision]);
  if (pictures === null) return <div className="h-[157px] bg-surround" />;
  if (pictures === 'none') return <LiveMiniature summary={summary} onDrawn={onDrawn} />;
  return (
    <div className={HOLDER} aria-hidden="true">
      <Still picture={pictures[0]} view="wide" onDrawn={onDrawn} />
      <Still picture={pictures[1]} view="narrow" />
    </div>
  );
}
