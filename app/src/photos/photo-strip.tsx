import { fetched } from '../ui/fetched.tsx';

const fetchStrip = () => import('./strip-of-photos.tsx').then((part) => part.StripOfPhotos);

/** Photographs of one thing, fetched where the first of them may be taken. */
export const PhotoStrip = fetched(fetchStrip);

/** Has it come ahead, where photographs are about to be shown: nothing then moves under a finger. */
export const prefetchPhotoStrip = (): void => void fetchStrip().catch(() => undefined);
