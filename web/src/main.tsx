import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { CommandsProvider } from './app/commands/use-commands.tsx';
import { Notices } from './app/notices.tsx';
import { PLACES } from './app/places.ts';
import { SiteFrame } from './app/site-frame.tsx';
import './theme.css';

const { 'hand-off': HandOff } = PLACES;

const root = document.getElementById('app');
if (!root) throw new Error('The page has no place for the interface.');

createRoot(root).render(
  <StrictMode>
    <BrowserRouter>
      <CommandsProvider>
        <Routes>
          <Route path="/" element={<PLACES.sites />} />
          <Route path="/new" element={<PLACES.new />} />
          <Route path="/sites/:id" element={<SiteFrame />}>
            <Route index element={<Navigate to="bench" replace />} />
            <Route path="links" element={<PLACES.links />} />
            <Route path="pages" element={<PLACES.pages />} />
            <Route path="bench/:piece?" element={<PLACES.bench />} />
            <Route path="palette" element={<PLACES.palette />} />
            <Route path="checks" element={<PLACES.checks />} />
            <Route path="try/*" element={<PLACES.try />} />
            <Route path="hand-off" element={<HandOff />} />
          </Route>
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
        <Notices />
      </CommandsProvider>
    </BrowserRouter>
  </StrictMode>,
);
