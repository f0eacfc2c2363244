import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Link, RouterProvider } from 'react-router';
import { queryClient } from './api/queries';
import { RoundPage } from './features/Rounds/RoundPage';
import { SettingsPage } from './features/Settings/SettingsPage';
import { EditAnimalPage, NewAnimalPage } from './features/Stock/AnimalForm';
import { AnimalPage } from './features/Stock/AnimalPage';
import { StockPage } from './features/Stock/StockPage';
import { Frame } from './Frame';
import './theme.css';

// Dialogs and menus may add their own style element only under the nonce of this page.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '');

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
