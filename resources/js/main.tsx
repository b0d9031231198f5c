import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/literata/wght.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { queryClient, sessionQuery } from './api/queries';
import { router } from './routes';
import { currentLight, setLight } from './ui/light';
import { StatusLine } from './ui/StatusLine';
import { GlobalStyle } from './ui/tokens';

setLight(currentLight());
// Who is signed in is on its way while the screen is still being fetched.
void queryClient.prefetchQuery(sessionQuery);

const root = document.getElementById('root');
if (root === null) {
    throw new Error('The page lacks its root element.');
}

createRoot(root).render(
    <StrictMode>
        <QueryClientProvider client={queryClient}>
            <GlobalStyle />
            <StatusLine>
                <RouterProvider router={router} />
            </StatusLine>
        </QueryClientProvider>
    </StrictMode>,
);
