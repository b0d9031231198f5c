import type { ReactNode } from 'react';
import { RouterProvider } from 'react-aria-components';

/** Lets links that look like buttons change the page without loading it anew. */
export function LinkRouter({ navigate, children }: { navigate: (path: string) => void; children: ReactNode }) {
    return <RouterProvider navigate={navigate}>{children}</RouterProvider>;
}
