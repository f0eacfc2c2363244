import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { lazy, type ReactNode, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Link, Navigate, RouterProvider } from 'react-router';
import { keeping } from './api/keeping';
import { queryClient } from './api/queryClient';
import { RoundPage } from './features/Rounds/RoundPage';
import { Frame } from './Frame';
import { install } from './ui/install';
import { loadNewerPage } from './ui/loadNewerPage';
import { Trouble } from './ui/Trouble';
import './theme.css';

// Dialogs and menus may add their own style element only under the nonce of this page.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '');

// The round opens at once; every other view is fetched when it is opened.
const StockPage = lazy(async () => ({ default: (await import('./features/Stock/StockPage')).StockPage }));
const AnimalPage = lazy(async () => ({ default: (await import('./features/Stock/AnimalPage')).AnimalPage }));
const NewAnimalPage = lazy(async () => ({
  default: (await import('./features/Stock/AnimalForm')).NewAnimalPage,
}));
const IntakePage = lazy(async () => ({ default: (await import('./features/Intake/IntakePage')).IntakePage }));
const EditAnimalPage = lazy(async () => ({
  default: (await import('./features/Stock/AnimalForm')).EditAnimalPage,
}));
const PicturesPage = lazy(async () => ({
  default: (await import('./features/Growth/PicturesPage')).PicturesPage,
}));
const ClimatePage = lazy(async () => ({
  default: (await import('./features/Climate/ClimatePage')).ClimatePage,
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
  default: (await import('./features/Rooms/SettingsPage')).SettingsPage,
}));

const ShelvesFrame = lazy(async () => ({
  default: (await import('./features/Housing/ShelvesPage')).ShelvesFrame,
}));
const ShelvesPage = lazy(async () => ({
  default: (await import('./features/Housing/ShelvesPage')).ShelvesPage,
}));
const RehousingPage = lazy(async () => ({
  default: (await import('./features/Housing/RehousingPage')).RehousingPage,
}));
const NightPage = lazy(async () => ({ default: (await import('./features/Rounds/NightPage')).NightPage }));
const ChoresPage = lazy(async () => ({ default: (await import('./features/Chores/ChoresPage')).ChoresPage }));
const PairingPage = lazy(async () => ({
  default: (await import('./features/Pairing/PairingPage')).PairingPage,
}));
const NurseryPage = lazy(async () => ({
  default: (await import('./features/Nursery/NurseryPage')).NurseryPage,
}));
const ColoniesPage = lazy(async () => ({
  default: (await import('./features/Colonies/ColoniesPage')).ColoniesPage,
}));
const UnknownLarvaPage = lazy(async () => ({
  default: (await import('./features/Nursery/UnknownLarvaPage')).UnknownLarvaPage,
}));
const RunPage = lazy(async () => ({ default: (await import('./features/Pairing/RunPage')).RunPage }));
const AlmanacPage = lazy(async () => ({
  default: (await import('./features/Almanac/AlmanacPage')).AlmanacPage,
}));
const PaperFrame = lazy(async () => ({ default: (await import('./features/Paper/PaperFrame')).PaperFrame }));
const LabelsPage = lazy(async () => ({ default: (await import('./features/Labels/LabelsPage')).LabelsPage }));
const RoundSheet = lazy(async () => ({ default: (await import('./features/Paper/RoundSheet')).RoundSheet }));
const TypingPage = lazy(async () => ({ default: (await import('./features/Paper/TypingPage')).TypingPage }));
const LoanSheet = lazy(async () => ({ default: (await import('./features/Paper/LoanSheet')).LoanSheet }));
const CareCard = lazy(async () => ({ default: (await import('./features/Paper/CareCard')).CareCard }));
const PeoplePage = lazy(async () => ({ default: (await import('./features/Access/PeoplePage')).PeoplePage }));
const SafekeepingPage = lazy(async () => ({
  default: (await import('./features/Safekeeping/SafekeepingPage')).SafekeepingPage,
}));
const AboutPage = lazy(async () => ({ default: (await import('./features/About/AboutPage')).AboutPage }));
const SitterPage = lazy(async () => ({ default: (await import('./features/Sitter/SitterPage')).SitterPage }));

const WritersPage = lazy(async () => ({ default: (await import('./ui/WritersPage')).WritersPage }));

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

/** A page that is all writing. */
const forWriters = (page: ReactNode) => <WritersPage>{page}</WritersPage>;

const router = createBrowserRouter([
  {
    path: '/sit/:secret',
    errorElement: <Trouble />,
    element: (
      <Suspense>
        <SitterPage />
      </Suspense>
    ),
  },
  {
    element: <Frame />,
    errorElement: <Trouble />,
    children: [
      { path: '/', element: <RoundPage /> },
      { path: '/stock', element: <StockPage /> },
      { path: '/stock/new', element: forWriters(<NewAnimalPage />) },
      { path: '/stock/many', element: forWriters(<IntakePage />) },
      { path: '/stock/:id', element: <AnimalPage /> },
      { path: '/stock/:id/edit', element: forWriters(<EditAnimalPage />) },
      { path: '/stock/:id/pictures', element: <PicturesPage /> },
      { path: '/stock/:id/card', element: <CareCard /> },
      { path: '/stock/:id/loan', element: <LoanSheet /> },
      { path: '/night/:night', element: <NightPage /> },
      {
        path: '/shelves',
        element: <ShelvesFrame />,
        children: [
          { index: true, element: <ShelvesPage /> },
          { path: 'rehousing', element: <RehousingPage /> },
        ],
      },
      { path: '/chores', element: <ChoresPage /> },
      { path: '/pairing', element: <PairingPage /> },
      { path: '/nursery', element: <NurseryPage /> },
      { path: '/colonies', element: <ColoniesPage /> },
      { path: '/nursery/unknown', element: <UnknownLarvaPage /> },
      { path: '/pairing/:id', element: <RunPage /> },
      { path: '/almanac', element: <AlmanacPage /> },
      {
        path: '/paper',
        element: <PaperFrame />,
        children: [
          { index: true, element: <Navigate to="/paper/labels" replace /> },
          { path: 'labels', element: <LabelsPage /> },
          { path: 'round', element: <RoundSheet /> },
          { path: 'typing', element: forWriters(<TypingPage />) },
        ],
      },
      { path: '/people', element: <PeoplePage /> },
      { path: '/safekeeping', element: <SafekeepingPage /> },
      { path: '/about', element: <AboutPage /> },
      { path: '/larder', element: <LarderPage /> },
      { path: '/larder/feeders', element: <FeedersPage /> },
      { path: '/climate', element: <ClimatePage /> },
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

// After an update the parts of the former page are gone from the server.
window.addEventListener('vite:preloadError', () => void loadNewerPage());

keeping.start();
void install();

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
