import { StrictMode, Suspense, lazy } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { CommandsProvider } from './app/commands/use-commands.tsx';
import { Notices } from './app/notices.tsx';
import { SiteFrame } from './app/site-frame.tsx';
import './theme.css';

const SitesPlace = lazy(async () => ({
  default: (await import('./places/sites/sites-place.tsx')).SitesPlace,
}));
const NewSitePlace = lazy(async () => ({
  default: (await import('./places/new-site/new-site-place.tsx')).NewSitePlace,
}));
const LinksPlace = lazy(async () => ({
  default: (await import('./places/links/links-place.tsx')).LinksPlace,
}));
const BenchPlace = lazy(async () => ({
  default: (await import('./places/bench/bench-place.tsx')).BenchPlace,
}));
const PalettePlace = lazy(async () => ({
  default: (await import('./places/palette/palette-place.tsx')).PalettePlace,
}));
const ChecksPlace = lazy(async () => ({
  default: (await import('./places/checks/checks-place.tsx')).ChecksPlace,
}));
const HandOffPlace = lazy(async () => ({
  default: (await import('./places/hand-off/hand-off-place.tsx')).HandOffPlace,
}));

const root = document.getElementById('app');
if (!root) throw new Error('The page has no place for the interface.');

createRoot(root).render(
  <StrictMode>
    <BrowserRouter>
      <CommandsProvider>
        <Suspense fallback={null}>
          <Routes>
            <Route path="/" element={<SitesPlace />} />
            <Route path="/new" element={<NewSitePlace />} />
            <Route path="/sites/:id" element={<SiteFrame />}>
              <Route index element={<Navigate to="bench/header" replace />} />
              <Route path="links" element={<LinksPlace />} />
              <Route path="bench/:piece" element={<BenchPlace />} />
              <Route path="palette" element={<PalettePlace />} />
              <Route path="checks" element={<ChecksPlace />} />
              <Route path="hand-off" element={<HandOffPlace />} />
            </Route>
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
        <Notices />
      </CommandsProvider>
    </BrowserRouter>
  </StrictMode>,
);
