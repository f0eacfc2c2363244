import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { lazy, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Link, RouterProvider } from 'react-router';
import { queryClient } from './api/queries';
import { RoundPage } from './features/Rounds/RoundPage';
import { Frame } from './Frame';
import './theme.css';

// Dialogs and menus may add their own style element only under the nonce of this page.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '');

// The round opens at once; every other view is fetched when it is opened.
const StockPage = lazy(async () => ({ default: (await import('./features/Stock/StockPage')).StockPage }));
const AnimalPage = lazy(async () => ({ default: (await import('./features/Stock/AnimalPage')).AnimalPage }));
const NewAnimalPage = lazy(async () => ({
  default: (await import('./features/Stock/AnimalForm')).NewAnimalPage,
}));
const EditAnimalPage = lazy(async () => ({
  default: (await import('./features/Stock/AnimalForm')).EditAnimalPage,
}));
const PicturesPage = lazy(async () => ({
  default: (await import('./features/Growth/PicturesPage')).PicturesPage,
}));
const GuidePage = lazy(async () => ({ default: (await import('./features/Guide/GuidePage')).GuidePage }));
const RulebookPage = lazy(async () => ({
  default: (await import('./features/Rulebook/RulebookPage')).RulebookPage,
}));
const SpeciesPage = lazy(async () => ({
  default: (await import('./features/Rulebook/SpeciesPage')).SpeciesPage,
}));
const LarderPage = lazy(async () => ({ default: (await import('./features/Larder/LarderPage')).LarderPage }));
const FeedersPage = lazy(async () => ({
  default: (await import('./features/Larder/FeedersPage')).FeedersPage,
}));
const HonestyPage = lazy(async () => ({
  default: (await import('./features/Honesty/HonestyPage')).HonestyPage,
}));
const BenchPage = lazy(async () => ({ default: (await import('./features/Bench/BenchPage')).BenchPage }));
const SettingsPage = lazy(async () => ({
  default: (await import('./features/Settings/SettingsPage')).SettingsPage,
}));

function Lost() {
  return (
    <p className="m-auto p-8 text-center">
      There is nothing here.{' '}
      <Link to="/" className="linkish">
        Back to the round
      </Link>
    </p>
  );
}

const router = createBrowserRouter([
  {
    element: <Frame />,
    children: [
      { path: '/', element: <RoundPage /> },
      { path: '/stock', element: <StockPage /> },
      { path: '/stock/new', element: <NewAnimalPage /> },
      { path: '/stock/:id', element: <AnimalPage /> },
      { path: '/stock/:id/edit', element: <EditAnimalPage /> },
      { path: '/stock/:id/pictures', element: <PicturesPage /> },
      { path: '/larder', element: <LarderPage /> },
      { path: '/larder/feeders', element: <FeedersPage /> },
      { path: '/guide', element: <GuidePage /> },
      { path: '/rulebook', element: <RulebookPage /> },
      { path: '/rulebook/:id', element: <SpeciesPage /> },
      { path: '/honesty', element: <HonestyPage /> },
      { path: '/bench', element: <BenchPage /> },
      { path: '/bench/:name', element: <BenchPage /> },
      { path: '/room', element: <SettingsPage /> },
      { path: '*', element: <Lost /> },
    ],
  },
]);

const root = document.getElementById('root');
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
