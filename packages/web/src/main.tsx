import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { makeStore } from './app/store';
import { router } from './app/routes';

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <Provider store={makeStore()}>
        <RouterProvider router={router} />
      </Provider>
    </StrictMode>,
  );
