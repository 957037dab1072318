import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { createMemoryRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';

/** Nothing but the libraries that every view needs: what the bench holds the first visits against. */
const router = createMemoryRouter([{ path: '/', element: <h1>Empty</h1> }]);
const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
