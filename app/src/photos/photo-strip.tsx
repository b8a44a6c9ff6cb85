import { fetched } from '../ui/fetched.tsx';

/** Photographs of one thing, fetched where the first of them may be taken. */
export const PhotoStrip = fetched(() => import('./strip-of-photos.tsx').then((part) => part.StripOfPhotos));
